/** The plug that a job leaves apart, or has pulled, for touches that show something only then. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { ActEntry, LogState, NoteOf } from '../../facts/log/logState';
import { notesAbout, ofJob } from '../../facts/log/notesOf';
import { touchKey } from '../../facts/log/noteSubject';
import { invalidatedBy, standsOnTerminals } from '../../facts/log/stale';
import type { Id } from '../../facts/terms/names';
import type { ApartTouches, ListedTouch, TouchList } from '../../judgement/checks/touchList';

interface Job {
  log: LogState;
  jobId: Id;
}

interface Given extends Job {
  asBuilt: Assembly;
  /** What readings of loose parts have ruled out. */
  ruledOut: ReadonlySet<number>;
}

/** One at a time: the others are home. A plug that was pulled for it comes before the one that would be left. */
export function plugLeftApart(
  { apart, faults }: Pick<TouchList, 'apart' | 'faults'>,
  { log, jobId, asBuilt, ruledOut }: Given,
): { mate: string; touches: readonly ListedTouch[] } | null {
  const worth = ({ touches }: ApartTouches) => {
    const shown = new Set(touches.flatMap(({ shows }) => shows));
    const left = [...shown].filter((place) => !ruledOut.has(place));
    return left.reduce((sum, place) => sum + (faults[place]!.harm === 'kill' ? 2 : 1), 0);
  };
  const isOpen = (mate: string) => !Object.hasOwn(asBuilt.build.mates, mate);
  const isRead = (mate: string, { touches }: ApartTouches) =>
    touches.some((listed) => readApart(listed, mate, { log, jobId }) !== null);
  const isPulled = (mate: string) =>
    log.acts.some(({ record }) => record.jobId === jobId && record.body.do === 'unmate' && record.body.id === mate);
  const plugs = Object.entries(apart).filter(([mate, own]) => worth(own) > 0 && (isOpen(mate) || isRead(mate, own)));
  const pulled = plugs.filter(([mate]) => isOpen(mate) && isPulled(mate));
  const [best] = [...(pulled.length > 0 ? pulled : plugs)].sort(([, a], [, b]) => worth(b) - worth(a));
  return best ? { mate: best[0], touches: best[1].touches } : null;
}

/** Its newest reading in this job, if it still holds; with everything mated these are not asked. */
function readApart({ touch }: ListedTouch, mate: string, { log, jobId }: Job): NoteOf<'reading'> | null {
  const last = notesAbout(log, 'reading', touchKey(touch)).findLast(ofJob(jobId));
  return last && !spoiledApart(last, mate, log) ? last : null;
}

/** The act after which it no longer holds: any work at its places, but for that plug being pushed home or pulled. */
export function spoiledApart(reading: NoteOf<'reading'>, mate: string, log: LogState): ActEntry | null {
  const { black, red } = reading.record.body.reading.touch;
  const isAtProbes = standsOnTerminals(black, red);
  return invalidatedBy(reading, log, (act) => {
    const { body } = act.record;
    const isOfPlug = (body.do === 'mate' || body.do === 'unmate') && body.id === mate;
    return !isOfPlug && isAtProbes(act);
  });
}

/** Faults that a passed reading with a plug apart has ruled out. */
export function apartRuledOut({ apart }: Pick<TouchList, 'apart'>, job: Job): number[] {
  return Object.entries(apart).flatMap(([mate, { touches }]) =>
    touches
      .filter((listed) => readApart(listed, mate, job)?.record.body.reading.verdict === 'pass')
      .flatMap(({ shows }) => shows),
  );
}
