/** What a terminal is for. */
import { terminalOf } from './catalogue';
import type { PartModel, Role, Terminal } from './partModel';

/** True when one of the alternatives of a terminal is of this kind. */
export function hasRole(terminal: Terminal, is: Role['is']): boolean {
  return terminal.roles.some((role) => role.is === is);
}

/** True when it gives a supply, or takes one. */
export function isSupply(terminal: Terminal, dir: 'gives' | 'takes'): boolean {
  return terminal.roles.some((role) => role.is === 'supply' && role.dir === dir);
}

/** The motor channel that a terminal is a phase of, or null. */
export function phaseChannel(model: PartModel, terminalId: string): number | null {
  const role = terminalOf(model, terminalId)?.roles.find((role) => role.is === 'port');
  const port = role?.is === 'port' ? model.ports.find(({ id }) => id === role.port) : undefined;
  return port?.kind === 'motorPhase' ? (port.index ?? 0) : null;
}
