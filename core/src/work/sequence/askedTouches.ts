/**
 * Which touches of the list a job asks for. A new build and a conversion: all of them, and what is seen only with a
 * plug apart while one still is. A repair: the main leads, and
 * the fewest that prove again what its own work could have spoiled.
 */
import type { Assembly } from '../../facts/assembly/assembly';
import { workOf } from '../../facts/log/jobStart';
import type { LogState } from '../../facts/log/logState';
import { notesAbout, notesOf, ofJob } from '../../facts/log/notesOf';
import { touchKey } from '../../facts/log/noteSubject';
import type { Plan } from '../../facts/plan/plan';
import type { Id } from '../../facts/terms/names';
import type { Change } from '../../facts/assembly/difference';
import { workedPlaces } from '../../facts/wiring/workedPlaces';
import { touchesAfterWork } from '../../judgement/checks/afterWork';
import type { ListedTouch, TouchList } from '../../judgement/checks/touchList';
import { provesContact } from '../../judgement/checks/touchList';
import { apartRuledOut, plugLeftApart } from './plugLeftApart';
import { wholeList } from './continuitySchool';

export interface AskedTouches {
  /** The whole list of the target; null while it is not made. */
  list: TouchList | null;
  touches: readonly ListedTouch[];
  /** Of the whole list what is not asked here: what an earlier job said of it is history. */
  history: readonly ListedTouch[];
  /** The plug that is left apart for touches that only then show something, and these; null: none is. */
  apart: { mate: string; touches: readonly ListedTouch[] } | null;
  /**
   * Faults that this job has ruled out by readings of loose parts and with a plug apart: places in the list of faults.
   */
  ruledOutEarlier: ReadonlySet<number>;
}

interface Asked {
  jobId: Id;
  plan: Plan;
  log: LogState;
  target: Assembly;
  asBuilt: Assembly;
  /** As planned, as it is, as it was. */
  builds: readonly Assembly[];
  changes: readonly Change[];
  list: TouchList | null;
}

export function askedTouches({ jobId, plan, log, target, asBuilt, builds, changes, list }: Asked): AskedTouches {
  const touches = list?.touches ?? [];
  const onLoose = list ? looseRuledOut(list, log, jobId) : [];
  const ruledOutEarlier = new Set([...onLoose, ...(list ? apartRuledOut(list, { log, jobId }) : [])]);
  if (wholeList(plan)) {
    const apart = list && plugLeftApart(list, { log, jobId, asBuilt, ruledOut: new Set(onLoose) });
    return { list, touches, history: [], apart, ruledOutEarlier };
  }
  const read = new Set(
    notesOf(log, 'reading')
      .filter(ofJob(jobId))
      .map(({ record }) => touchKey(record.body.reading.touch)),
  );
  const acts = [...workOf(log, jobId).map(({ record }) => record.body), ...changes.flatMap(({ effect }) => effect)];
  const own = list
    ? touchesAfterWork({
        list,
        worked: workedPlaces(acts, builds),
        target,
        asked: touches.filter(({ touch }) => read.has(touchKey(touch))),
      })
    : [];
  const asked = new Set(own);
  return {
    list,
    // Of a few touches those that prove contact come first: no silence waits for one to come.
    touches: [...own.filter(provesContact), ...own.filter((listed) => !provesContact(listed))],
    history: touches.filter((listed) => !asked.has(listed)),
    apart: null,
    ruledOutEarlier,
  };
}

function looseRuledOut({ loose }: TouchList, log: LogState, jobId: Id): number[] {
  return Object.entries(loose).flatMap(([slot, own]) => {
    const read = notesAbout(log, 'signature', slot).findLast(ofJob(jobId));
    const replaced = notesOf(log, 'replace').findLast(({ record }) => record.body.slot === slot);
    // Another part stands there by now.
    if (!read || (replaced && replaced.madeSeq > read.madeSeq)) return [];
    const { readings } = read.record.body;
    const passed = own.filter(({ black, red, mode }) =>
      readings.some((one) => one.mode === mode && one.black === black && one.red === red && one.verdict === 'pass'),
    );
    return passed.flatMap(({ shows }) => shows);
  });
}
