/** Which notes no longer hold, because something was done to what they are about. */
import type { FoldedAct, FoldedLog } from './fold';
import type { TerminalRef } from '../terms/names';
import type { Effective } from './corrections';

/**
 * The act that spoils a note: later by seq or by the clock, either is enough, so that a late offline record or a
 * wrong clock can only make a gate block again. Null when the note still holds.
 */
export function spoiledBy(note: Effective, log: FoldedLog, concerns: (act: FoldedAct) => boolean): FoldedAct | null {
  const later = (act: FoldedAct) => act.madeSeq > note.madeSeq || act.doneAt > note.record.doneAt;
  return log.acts.find((act) => later(act) && concerns(act)) ?? null;
}

/** A reading stands on both its terminals' nets. */
export function concernsTerminals(...refs: TerminalRef[]): (act: FoldedAct) => boolean {
  return (act) => refs.some((ref) => act.touched.has(ref));
}

/** A look stands on its joint. */
export function concernsJoint(joint: string): (act: FoldedAct) => boolean {
  return (act) => act.joints.includes(joint);
}

/** Main-lead readings and permits stand on everything. */
export function concernsAll(): boolean {
  return true;
}
