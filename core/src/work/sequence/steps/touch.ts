import { anchorsFor } from '../../../judgement/checks/anchors';
import { probeWords } from '../../../judgement/checks/reach';
import { touchKey } from '../../../facts/log/noteSubject';
import type { NoteOf } from '../../../facts/log/logState';
import { invalidatedBy, standsOnAll, standsOnTerminals } from '../../../facts/log/stale';
import { badPowers } from '../../../facts/log/withdrawn';
import { modeWords } from '../../../facts/log/reading';
import { capital } from '../../../facts/terms/capital';
import { enumerated } from '../../../facts/terms/enumerated';
import type { Id } from '../../../facts/terms/names';
import type { ListedTouch } from '../../../judgement/checks/touchList';
import { isOfMainLeads, ruledOutBy } from '../../../judgement/checks/touchList';
import { continuityPlace, continuityTurns } from '../continuityPlace';
import type { JobContext } from '../jobContext';
import { lastNote } from '../jobContext';
import { spoiledApart } from '../plugLeftApart';
import { unsaidFaults } from '../faults';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';

interface TouchStep extends Draft<'touch', { kind: 'touch'; listed: ListedTouch }> {
  listed: ListedTouch;
  /** The plug that is apart meanwhile; null: everything is mated. What was read so stays read when it is home. */
  withApart: string | null;
  /** Kinds of faults that it would show, the worst first. */
  rulesOut: readonly string[];
}

/** Two probes on two terminals. */
export const touch: StepKind<TouchStep> = {
  plan: ({ touches: { list, touches, apart } }) => {
    const draft = (listed: ListedTouch, turn: number, withApart: string | null): TouchStep => ({
      verb: 'touch',
      subject: `${listed.touch.black}~${listed.touch.red}~${listed.touch.mode}`,
      about: { kind: 'touch', listed },
      listed,
      withApart,
      rulesOut: ruledOutBy(list!, listed),
      place: continuityPlace(turn),
    });
    return [
      ...(apart?.touches ?? []).map((listed) => draft(listed, continuityTurns.apart, apart!.mate)),
      ...touches.map((listed) => draft(listed, continuityTurns.touch, null)),
    ];
  },
  state: ({ listed, withApart }, job) => {
    const last = lastNote(job, 'reading', touchKey(listed.touch));
    if (isOfMainLeads(listed) && shortSince(last, job))
      return open('A short was read between them', job.short!.record.id);
    if (!last) return open();
    const spoiled =
      withApart === null ? reopenedBy(last, listed, job) : (spoiledApart(last, withApart, job.log)?.record.id ?? null);
    if (spoiled) return open('Worked on since it was read', spoiled);
    const { verdict, heard } = last.record.body.reading;
    if (verdict === 'stop')
      return open(
        `Read “${heard.length ?? (heard.open ? 'open' : `${heard.value} ${heard.unit}`)}”, which no good build shows`,
      );
    if (verdict === 'look again' && listed.anchored && !isProvenSince(last, job))
      return open('Silent, contact not proven');
    if (verdict === 'record only') return open('Kept as it was read: nothing is computed that it can be held against');
    return done(last.record.id);
  },
  words: ({ listed: { touch: pair } }, { target }) =>
    `${pair.mode === 'tone' ? 'Black' : `${capital(modeWords[pair.mode])}: black`} on ${probeWords(pair.black, target)}, red on ${probeWords(pair.red, target)}`,
  why: ({ listed, rulesOut }) => whyTouch(listed, rulesOut),
  takesS: ({ listed }) => (listed.touch.mode === 'tone' ? 4 : 6),
};

/** A short stands that this reading neither followed nor is; what it said itself is said by its verdict. */
function shortSince(last: NoteOf<'reading'> | null, { short }: JobContext): boolean {
  if (!short) return false;
  if (last?.record.id === short.record.id) return last.record.body.reading.verdict !== 'stop';
  return !last || last.madeSeq <= short.madeSeq;
}

/**
 * The record that makes a reading stale, or null: an act, or a fault at its place that was taken back. Main-lead
 * readings stand on every act and fault, and on power that went wrong.
 */
function reopenedBy(reading: NoteOf<'reading'>, listed: ListedTouch, { log }: JobContext): Id | null {
  const mains = isOfMainLeads(listed);
  const { touch: pair } = listed;
  const act = invalidatedBy(reading, log, mains ? standsOnAll : standsOnTerminals(pair.black, pair.red));
  if (act) return act.record.id;
  const unsaid = unsaidFaults(log).find(
    ({ seq, refs }) => seq > reading.madeSeq && (mains || refs.has(pair.black) || refs.has(pair.red)),
  );
  if (unsaid || !mains) return unsaid?.by ?? null;
  return badPowers(log).find(({ seq }) => seq > reading.madeSeq)?.id ?? null;
}

/** A tone or a number on the same copper came later than the silence, and proves its contact all the same. */
function isProvenSince({ record }: NoteOf<'reading'>, { log, jobId }: JobContext): boolean {
  const { black, red } = anchorsFor(record.body.reading.touch, log, jobId);
  return black !== null && red !== null;
}

function whyTouch({ across, good }: ListedTouch, rulesOut: readonly string[]): string {
  if (across === 'main leads') return 'a short here burns everything; red on + first, then exchanged';
  if (across) return 'the tone may last as long as the first touch, not longer';
  if (rulesOut.length > 0) return `it would show: ${enumerated(rulesOut)}`;
  return good === 'sounds'
    ? 'this tone makes silence on the same copper count'
    : 'it proves that the probes make contact';
}
