/**
 * Which touches of the list a job asks for. A new build and a conversion: all of them. A repair: the main leads, what
 * its own work could have spoiled, and the touches that make silence on those nets count.
 */
import type { Assembly } from '../../facts/assembly/assembly';
import { workOf } from '../../facts/log/jobStart';
import type { LogState } from '../../facts/log/logState';
import { notesAbout, notesOf, ofJob } from '../../facts/log/notesOf';
import { touchKey } from '../../facts/log/noteSubject';
import type { Plan } from '../../facts/plan/plan';
import type { Id, TerminalRef } from '../../facts/terms/names';
import type { Change } from '../../facts/assembly/difference';
import type { Net } from '../../facts/wiring/netlist';
import { netlist } from '../../facts/wiring/netlist';
import { namedByChanges } from '../../facts/wiring/touchedBy';
import type { ListedTouch, TouchList } from '../../judgement/checks/touchList';
import { isOfMainLeads, provesContact } from '../../judgement/checks/touchList';
import { wholeList } from './continuitySchool';

export interface AskedTouches {
  /** The whole list of the target; null while it is not made. */
  list: TouchList | null;
  touches: readonly ListedTouch[];
  /** Of the whole list what is not asked here: what an earlier job said of it is history. */
  history: readonly ListedTouch[];
  /** Faults that readings of loose parts have ruled out in this job: places in the list of faults. */
  ruledOutLoose: ReadonlySet<number>;
}

interface Asked {
  jobId: Id;
  plan: Plan;
  log: LogState;
  asBuilt: Assembly;
  target: Assembly;
  changes: readonly Change[];
  list: TouchList | null;
}

export function askedTouches({ jobId, plan, log, asBuilt, target, changes, list }: Asked): AskedTouches {
  const touches = list?.touches ?? [];
  const ruledOutLoose = new Set(list ? looseRuledOut(list, log, jobId) : []);
  if (wholeList(plan)) return { list, touches, history: [], ruledOutLoose };
  const touched = touchedIn({ jobId, log, builds: [asBuilt, target], changes });
  const read = new Set(
    notesOf(log, 'reading')
      .filter(ofJob(jobId))
      .map(({ record }) => touchKey(record.body.reading.touch)),
  );
  const own = touches.filter(
    (listed) =>
      isOfMainLeads(listed) ||
      touched.has(listed.touch.black) ||
      touched.has(listed.touch.red) ||
      read.has(touchKey(listed.touch)),
  );
  const asked = new Set([...own, ...anchorsOf(own, touches, target)]);
  // Of a few touches those that prove contact come first: no silence waits for one to come.
  const inOrder = touches.filter((listed) => asked.has(listed));
  return {
    list,
    touches: [...inOrder.filter(provesContact), ...inOrder.filter((listed) => !provesContact(listed))],
    history: touches.filter((listed) => !asked.has(listed)),
    ruledOutLoose,
  };
}

function looseRuledOut({ loose }: TouchList, log: LogState, jobId: Id): number[] {
  return Object.entries(loose).flatMap(([slot, own]) => {
    const read = notesAbout(log, 'signature', slot).findLast(ofJob(jobId));
    const replaced = notesOf(log, 'replace').findLast(({ record }) => record.body.slot === slot);
    // Another part stands there by now.
    if (!read || (replaced && replaced.madeSeq > read.madeSeq)) return [];
    const { readings } = read.record.body;
    const passed = own.filter(({ black, red }) =>
      readings.some((one) => one.mode === 'diode' && one.black === black && one.red === red && one.verdict === 'pass'),
    );
    return passed.flatMap(({ shows }) => shows);
  });
}

/** Terminals on the nets that the job's acts changed, and that those to come will change. */
function touchedIn({
  jobId,
  log,
  builds,
  changes,
}: Pick<Asked, 'jobId' | 'log' | 'changes'> & { builds: readonly Assembly[] }): ReadonlySet<TerminalRef> {
  const touched = new Set<TerminalRef>();
  for (const act of workOf(log, jobId)) act.touched().forEach((ref) => touched.add(ref));
  for (const build of builds) namedByChanges(changes, build).forEach((ref) => touched.add(ref));
  return touched;
}

/** For each silence asked, a touch that proves contact on either net: silence counts only beside that. */
function anchorsOf(own: readonly ListedTouch[], all: readonly ListedTouch[], target: Assembly): ListedTouch[] {
  const nets = netlist(target);
  const netsOf = ({ touch }: ListedTouch) => [nets.netOf(touch.black), nets.netOf(touch.red)];
  const proving = (from: readonly ListedTouch[], net: Net | null) =>
    from.find((listed) => provesContact(listed) && netsOf(listed).includes(net));
  const wanted = new Set(own.filter((listed) => !provesContact(listed)).flatMap(netsOf));
  return [...wanted].flatMap((net) => (proving(own, net) ? [] : (proving(all, net) ?? [])));
}
