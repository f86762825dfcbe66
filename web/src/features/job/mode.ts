/** What the bench screen shows instead of the current step, if anything. */
import type { Finding, TerminalRef } from '@junctor/core';

export type Mode =
  | { is: 'work' }
  | { is: 'looking'; index: number }
  | { is: 'other pad'; ref: TerminalRef; flipped: boolean }
  | { is: 'problem' }
  | { is: 'what to do'; defect: string }
  | { is: 'fault'; symptom: string }
  | { is: 'wiring'; wire: string | null }
  | { is: 'wire body'; wire: string }
  | { is: 'whole board'; slot: string | null }
  | { is: 'waive'; finding: Finding; waiver: string | null }
  | { is: 'planner' }
  | { is: 'supplies' }
  | { is: 'motors' }
  | { is: 'why' }
  | { is: 'take back' };

export type SetMode = (mode: Mode) => void;
export const work: Mode = { is: 'work' };
