/** Which notes no longer hold, because something was done to what they are about. */
import type { TerminalRef } from '../terms/names';
import type { ActEntry, Entry, LogState } from './logState';

/** What a note stands on: true for an act that it does not survive. */
type StandsOn = (act: ActEntry) => boolean;

/**
 * The act that makes a note stale: later by seq or by the clock, either is enough, so that a late offline record or a
 * wrong clock can only make a gate block again. Null when the note still holds.
 */
export function invalidatedBy(note: Entry, { acts }: Pick<LogState, 'acts'>, standsOn: StandsOn): ActEntry | null {
  const later = (act: ActEntry) => act.madeSeq > note.madeSeq || act.record.doneAt > note.record.doneAt;
  return acts.find((act) => later(act) && standsOn(act)) ?? null;
}

/** A reading stands on both its terminals' nets. */
export function standsOnTerminals(...refs: TerminalRef[]): StandsOn {
  return (act) => refs.some((ref) => act.touched().has(ref));
}

/** A look stands on its joint. */
export function standsOnJoint(joint: string): StandsOn {
  return (act) => act.joints.includes(joint);
}

/** Main-lead readings and permits stand on everything. */
export function standsOnAll(): boolean {
  return true;
}
