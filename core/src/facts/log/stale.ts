/** Which notes no longer hold, because something was done to what they are about. */
import type { TerminalRef } from '../terms/names';
import type { ActEntry, Entry, LogState } from './logState';

/** What a note stands on: true for an act that it does not survive. */
type StandsOn = (act: ActEntry) => boolean;

/**
 * The act that makes a note stale: one that was stored later, or one of another device that whoever made the note had
 * not seen. No clock is asked: a late offline record can only make a gate block again, and a wrong clock does nothing.
 * An act that was taken back or corrected counts as one of that moment. Null when the note still holds.
 */
export function invalidatedBy(
  { madeSeq, record: { deviceId, basisSeq } }: Entry,
  { acts, undone }: Pick<LogState, 'acts' | 'undone'>,
  standsOn: StandsOn,
): ActEntry | null {
  const later = (act: ActEntry) =>
    act.madeSeq > madeSeq || (act.record.deviceId !== deviceId && act.madeSeq > basisSeq);
  const spoils = (act: ActEntry) => later(act) && standsOn(act);
  return acts.find(spoils) ?? undone.find(spoils) ?? null;
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
