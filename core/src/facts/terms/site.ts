/** A place where something can be wrong. */
import type { Slot, TerminalRef, WireId } from './names';

export type Site =
  | { wire: WireId; end?: 0 | 1 }
  | { slot: Slot; element?: string }
  | { mate: string; position?: number }
  | { between: readonly [TerminalRef, TerminalRef] };
