/**
 * Which touches of the continuity list a job asks for. A new build and a conversion: all of them. A repair: the main
 * leads, what its own work could have spoiled, and the tones that make silence on those nets count.
 */
import type { Assembly } from '../../facts/assembly/assembly';
import { remembered } from '../../facts/assembly/assembly';
import { workOf } from '../../facts/log/jobStart';
import type { LogState } from '../../facts/log/logState';
import { notesOf, ofJob } from '../../facts/log/notesOf';
import { touchKey } from '../../facts/log/noteSubject';
import type { Plan } from '../../facts/plan/plan';
import type { Id, TerminalRef } from '../../facts/terms/names';
import type { Change } from '../../facts/assembly/difference';
import type { Net } from '../../facts/wiring/netlist';
import { netlist } from '../../facts/wiring/netlist';
import { namedByChanges } from '../../facts/wiring/touchedBy';
import type { ContinuityList, ListedTouch } from '../../judgement/checks/continuityTouches';
import { continuityTouches, isOfMainLeads, soundsWhenGood } from '../../judgement/checks/continuityTouches';
import { wholeList } from './continuitySchool';

export interface AskedTouches extends ContinuityList {
  /** Of the whole list what is not asked here: what an earlier job said of it is history. */
  history: readonly ListedTouch[];
}

/** The whole list of a target, made once. */
export const listOf = remembered(continuityTouches);

interface Asked {
  jobId: Id;
  plan: Plan;
  log: LogState;
  asBuilt: Assembly;
  target: Assembly;
  changes: readonly Change[];
}

export function askedTouches({ jobId, plan, log, asBuilt, target, changes }: Asked): AskedTouches {
  const { touches, notProven } = listOf(target);
  if (wholeList(plan)) return { touches, notProven, history: [] };
  const touched = touchedIn({ jobId, log, builds: [asBuilt, target], changes });
  const read = new Set(
    notesOf(log, 'reading')
      .filter(ofJob(jobId))
      .map(({ record }) => touchKey(record.body.reading.touch)),
  );
  const own = touches.filter(
    ({ touch, reason }) =>
      isOfMainLeads(reason) ||
      reason === 'first anchor' ||
      touched.has(touch.black) ||
      touched.has(touch.red) ||
      read.has(touchKey(touch)),
  );
  const asked = new Set([...own, ...anchorsOf(own, touches, target)]);
  return {
    touches: touches.filter((listed) => asked.has(listed)),
    notProven: notProven.filter((pair) => pair.some((ref) => touched.has(ref))),
    history: touches.filter((listed) => !asked.has(listed)),
  };
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

/** For each silence asked, a tone on either net: silence counts only where the net has just sounded. */
function anchorsOf(own: readonly ListedTouch[], all: readonly ListedTouch[], target: Assembly): ListedTouch[] {
  const nets = netlist(target);
  const netsOf = ({ touch }: ListedTouch) => [nets.netOf(touch.black), nets.netOf(touch.red)];
  const sounding = (from: readonly ListedTouch[], net: Net | null) =>
    from.find((listed) => soundsWhenGood(listed.reason) && netsOf(listed).includes(net));
  const wanted = new Set(own.filter(({ reason }) => !soundsWhenGood(reason)).flatMap(netsOf));
  return [...wanted].flatMap((net) => (sounding(own, net) ? [] : (sounding(all, net) ?? [])));
}
