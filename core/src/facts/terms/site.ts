/** A place where something can be wrong. */
import type { Slot, TerminalRef, WireId } from './names';

export type Site =
  /** An end that is on another pad, or in the place of another joint, says which. */
  | { wire: WireId; end?: 0 | 1; onto?: TerminalRef; for?: string }
  | { slot: Slot; element?: string }
  | { mate: string; position?: number }
  | { between: readonly [TerminalRef, TerminalRef] };
