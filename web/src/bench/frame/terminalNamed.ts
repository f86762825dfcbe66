/** What an address calls a terminal, if there is one of that name. */
import type { Assembly, TerminalRef } from '@junctor/core';

/** Null when it is no name of a terminal, or of none that the assembly has. */
export function terminalNamed(text: string | undefined, assembly: Assembly): TerminalRef | null {
  const isName = text !== undefined && text.indexOf('.') > 0;
  return isName && assembly.terminal(text as TerminalRef) ? (text as TerminalRef) : null;
}
