/** Everything a screen or a permit needs to know of a job, from plan and log alone. */
import type { Build } from '../../facts/assembly/build';
import type { FoldedLog } from '../../facts/log/fold';
import { fold, foldLog } from '../../facts/log/fold';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { ContinuityList } from '../../judgement/checks/continuityTouches';
import { continuityTouches } from '../../judgement/checks/continuityTouches';
import { difference } from '../../facts/assembly/difference';
import type { Id } from '../../facts/terms/names';
import type { Plan } from '../../facts/plan/plan';
import { inOrder } from '../../facts/log/corrections';
import type { QuadRecord } from '../../facts/log/records';
import { isAct } from '../../facts/log/records';
import type { Finding } from '../../judgement/rules/finding';
import { judge, judgeSoFar } from '../../judgement/rules/judge';
import type { Waived } from '../../judgement/rules/waivers';
import { splitWaived } from '../../judgement/rules/waivers';
import { unpermittedPowers } from './firstPower';
import { gates, powerObjections } from './gates';
import type { Gate, Step } from './step';
import { alloyOf } from '../../physics/joints/recipe';
import { steps } from './steps';
import type { WordContext } from './words';
import { stepWords } from './words';

export interface JobInput {
  jobId: Id;
  plan: Plan;
  /** The quad's whole log, of every job. */
  records: readonly QuadRecord[];
  catalogue: Catalogue;
}

export interface JobState {
  /** As built before the job's first work. */
  start: Build;
  asBuilt: Build;
  log: FoldedLog;
  steps: readonly Step[];
  gates: readonly Gate[];
  /** What the rules say of it and nobody has waived, worst first. */
  findings: readonly Finding[];
  waived: readonly Waived[];
  touches: ContinuityList;
  /** The first open step; null when the job has none. */
  current: Step | null;
  /** Why no permit for limited power can be made now; empty when it can. */
  objections: readonly string[];
  /** Planned wires and parts, with what is landed already where it really is: for words. */
  words: WordContext;
  lastSeq: number;
}

/** @throws {RangeError} If plan or log name a part model that the catalogue lacks. */
export function deriveJob({ jobId, plan, records, catalogue }: JobInput): JobState {
  const ordered = inOrder(records);
  // What was found when the quad came in belongs to where the job starts, not to its work.
  const firstWork = ordered.findIndex(
    ({ record }) => record.jobId === jobId && record.how === 'did' && isAct(record.body),
  );
  const before = firstWork < 0 ? ordered : ordered.slice(0, firstWork);
  const start = fold(
    before.map(({ record }) => record),
    catalogue,
  );
  const log = foldLog(records, catalogue);
  const asBuilt = log.build;
  const touches = touchesOf(plan.target, catalogue);
  const left = new Set(difference(asBuilt, plan.target).map(({ verb, subject }) => `${verb}:${subject}`));
  const all = steps({
    start,
    asBuilt,
    target: plan.target,
    catalogue,
    touches,
    alloy: alloyOf(plan.schools),
    context: {
      records,
      log,
      jobId,
      cells: plan.cells,
      planVersion: plan.version,
      inPlace: (joint) => !left.has(`land:${joint}`),
    },
  });
  const words: WordContext = { build: plan.target, before: start, catalogue };
  const { open: findings, waived } = splitWaived(
    [...judgeAll(asBuilt, plan, catalogue, start), ...powerFindings(records, log, all)],
    log,
    jobId,
  );
  const gateList = gates(all);
  return {
    start,
    asBuilt,
    log,
    steps: all,
    gates: gateList,
    findings,
    waived,
    touches,
    words,
    current: all.find(({ done }) => !done) ?? null,
    objections: powerObjections(all, findings, log, (step) => stepWords(step, words)),
    lastSeq: ordered.at(-1)?.seq ?? 0,
  };
}

const lists = new WeakMap<Build, WeakMap<Catalogue, ContinuityList>>();

/** A target and a catalogue never change, so their list is made once. */
function touchesOf(target: Build, catalogue: Catalogue): ContinuityList {
  const known = lists.get(target) ?? new WeakMap<Catalogue, ContinuityList>();
  const list = known.get(catalogue) ?? continuityTouches(target, catalogue);
  lists.set(target, known.set(catalogue, list));
  return list;
}

/** While something is left to build, the target as landed so far is judged; a finished build is judged as it is. */
function judgeAll(asBuilt: Build, plan: Plan, catalogue: Catalogue, start: Build): Finding[] {
  const finished = difference(asBuilt, plan.target).length === 0;
  return finished
    ? judge(asBuilt, catalogue, plan.links, plan.cells)
    : judgeSoFar(asBuilt, plan.target, catalogue, plan.links, plan.cells, start);
}

/** Power without a permit stays a stop until the main leads have been read again. */
function powerFindings(records: readonly QuadRecord[], log: FoldedLog, all: readonly Step[]): Finding[] {
  const mainLeadsGood = all
    .filter((step) => step.verb === 'touch' && step.listed.reason.startsWith('main leads'))
    .every(({ done }) => done);
  if (mainLeadsGood) return [];
  return unpermittedPowers(records, log)
    .slice(-1)
    .map(({ record }) => ({
      key: `power without a permit:${record.id}`,
      rule: 'power without a permit',
      severity: 'stop',
      at: [],
      wires: [],
      says: 'Powered without a permit. Read the main leads again before anything else.',
    }));
}
