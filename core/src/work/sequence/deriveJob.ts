/** Everything a screen or a permit needs to know of a job, from plan and log alone. */
import type { Stages } from '../../facts/assembly/assembly';
import { assemble } from '../../facts/assembly/assembly';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import { atJobStart } from '../../facts/log/jobStart';
import type { LogState, NoteOf } from '../../facts/log/logState';
import { notesOf } from '../../facts/log/notesOf';
import { withdrawnOf } from '../../facts/log/withdrawn';
import type { Plan } from '../../facts/plan/plan';
import type { Id } from '../../facts/terms/names';
import type { TouchList } from '../../judgement/checks/touchList';
import { isOfMainLeads } from '../../judgement/checks/touchList';
import type { Finding } from '../../judgement/rules/finding';
import { judge, judgeSoFar } from '../../judgement/rules/judge';
import type { Waived } from '../../judgement/rules/waivers';
import { splitWaived } from '../../judgement/rules/waivers';
import type { AskedTouches } from './askedTouches';
import type { Gate } from './gates';
import { gates } from './gates';
import type { JobContext } from './jobContext';
import { jobContext } from './jobContext';
import { noPowerPath, powerObjections } from './permit';
import type { Replacement } from './replacements';
import type { Step } from './stepTable';
import { kindOf } from './stepTable';
import { stepsOf } from './steps';

export interface JobInput {
  jobId: Id;
  plan: Plan;
  /** The quad's whole log, of every job. */
  log: LogState;
  catalogue: Catalogue;
  /** The touches before first power of what is planned; null while they are not worked out: then no power is open. */
  list: TouchList | null;
}

/** `start`: as built before the job's first work. */
export interface JobState extends Stages {
  log: LogState;
  steps: readonly Step[];
  gates: readonly Gate[];
  /** What the rules say of it and nobody has waived, worst first. */
  findings: readonly Finding[];
  waived: readonly Waived[];
  touches: AskedTouches;
  replacements: readonly Replacement[];
  /** The reading of a short between the main leads that still stands: while it does, no gate is passed. */
  short: NoteOf<'reading'> | null;
  /** The first open step; null when the job has none. */
  current: Step | null;
  /** Why no permit for limited power can be made now; empty when it can. */
  objections: readonly string[];
  lastSeq: number;
}

/** @throws {RangeError} If the plan names a part model that the catalogue lacks. */
export function deriveJob({ jobId, plan, log, catalogue, list }: JobInput): JobState {
  const { asBuilt } = log;
  const start = atJobStart(log, jobId);
  const target = assemble(plan.target, catalogue);
  const job = jobContext({ jobId, plan, log, list, start, asBuilt, target });
  const steps = stepsOf(job);
  const said = [...shortFindings(job), ...findingsOf(job), ...powerFindings(job, steps)];
  const { open: findings, waived } = splitWaived(said, log, jobId);
  return {
    start,
    asBuilt,
    target,
    log,
    steps,
    gates: gates(steps, job.short?.record.id ?? null),
    findings,
    waived,
    touches: job.touches,
    replacements: job.replacements,
    short: job.short,
    current: steps.find(({ done }) => !done) ?? null,
    objections: objectionsTo(job, steps, findings),
    lastSeq: log.lastSeq,
  };
}

function objectionsTo(job: JobContext, steps: readonly Step[], findings: readonly Finding[]): string[] {
  const noPath = noPowerPath(job.asBuilt, job.target);
  return [...powerObjections(beforePermit(steps, job), findings), ...(noPath ? [noPath] : [])];
}

function beforePermit(steps: readonly Step[], stages: Stages) {
  const permitAt = steps.findIndex(({ verb }) => verb === 'permit');
  return steps.slice(0, permitAt).map((step) => ({ ...step, sentence: kindOf(step).words(step, stages) }));
}

/** While something is left to build, the target as landed so far is judged; a finished build is judged as it is. */
function findingsOf({ asBuilt, target, start, plan, left }: JobContext): Finding[] {
  return left.length === 0
    ? judge(asBuilt, plan.links, plan.cells)
    : judgeSoFar(asBuilt, target, { links: plan.links, cells: plan.cells }, start);
}

/** Whatever else holds: no battery. */
function shortFindings({ short }: JobContext): Finding[] {
  if (!short) return [];
  return [
    {
      key: `short between the main leads:${short.record.id}`,
      rule: 'short between the main leads',
      severity: 'kill',
      at: [],
      wires: [],
      message: 'Short between + and −. No battery until it is found and the main leads have been read good, both ways.',
    },
  ];
}

/** Power without a permit stays a stop until the main leads have been read again. */
function powerFindings({ log }: JobContext, steps: readonly Step[]): Finding[] {
  const mains = steps.filter((step) => step.verb === 'touch' && isOfMainLeads(step.listed));
  if (mains.length > 0 && mains.every(({ done }) => done)) return [];
  const powers = [...notesOf(log, 'power'), ...withdrawnOf(log, 'power').map(({ entry }) => entry)];
  const last = powers.findLast(({ record }) => log.unpermitted.has(record.id));
  if (!last) return [];
  return [
    {
      key: `power without a permit:${last.record.id}`,
      rule: 'power without a permit',
      severity: 'stop',
      at: [],
      wires: [],
      message: 'Powered without a permit. Read the main leads again before anything else.',
    },
  ];
}
