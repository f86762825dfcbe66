/**
 * The kit stretch: everything counted onto the table, then what can only be done while a part is loose: set the receiver
 * up, weigh, take the signature. Asked for until the first act of the job; what was built without it is not asked again.
 */
import type { Build } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { PartKind } from '../../facts/catalogue/partModel';
import { kitList } from '../../planning/kit/kitList';
import { notesOf } from '../../facts/log/notesOf';
import { difference } from '../../facts/assembly/difference';
import type { DoneContext } from './done';
import { workBegun } from './done';
import type { Alloy } from '../../physics/joints/recipe';
import type { StepKind } from './step';
import { amountWords } from '../../facts/catalogue/stockLine';
import { modelIn } from '../../facts/assembly/lookUp';

export type KitStep = Extract<StepKind, { verb: 'count' | 'weigh' | 'sign' | 'say' }>;

const weighed: ReadonlySet<PartKind> = new Set(['frame', 'esc', 'single board', 'controller', 'motor']);
const signed: ReadonlySet<PartKind> = new Set(['esc', 'single board', 'controller', 'video unit']);

export function kitSteps(
  start: Build,
  target: Build,
  catalogue: Catalogue,
  context: DoneContext,
  alloy: Alloy,
): KitStep[] {
  const all: KitStep[] = [
    ...kitList(start, target, catalogue, alloy).map((line): KitStep => ({ verb: 'count', subject: line.key, line })),
    ...looseSteps(start, target, catalogue),
  ];
  return workBegun(context) ? all.filter((step) => kitState(step, context).done) : all;
}

/** Parts that are still to be fitted; of several of one model the first is weighed. */
function looseSteps(start: Build, target: Build, catalogue: Catalogue): KitStep[] {
  const loose = difference(start, target)
    .filter(({ verb }) => verb === 'fit')
    .map(({ subject }) => ({ slot: subject, model: modelIn(target, subject, catalogue)! }));
  const first = loose.filter(({ model }, index) => loose.findIndex((one) => one.model === model) === index);
  return [
    ...loose
      .filter(({ model }) => model.kind === 'receiver')
      .map(({ slot }): KitStep => ({ verb: 'say', subject: `set up ${slot}` })),
    ...first
      .filter(({ model }) => weighed.has(model.kind))
      .map(({ slot }): KitStep => ({ verb: 'weigh', subject: slot })),
    ...first
      .filter(({ model }) => signed.has(model.kind))
      .map(({ slot }): KitStep => ({ verb: 'sign', subject: slot })),
  ];
}

/** Done once counted, weighed, signed or put off; counted short stays said. */
export function kitState(
  step: KitStep,
  { log, jobId }: DoneContext,
): { done: boolean; against: string | null; by: string[] } {
  const own = <T extends { record: { jobId: string } }>(list: readonly T[]) =>
    list.filter(({ record }) => record.jobId === jobId);
  const skip = own(notesOf(log, 'skip'))
    .filter(({ record }) => record.body.step === `${step.verb}:${step.subject}`)
    .at(-1);
  if (step.verb === 'count') {
    const last = own(notesOf(log, 'kit'))
      .filter(({ record }) => record.body.line === step.subject)
      .at(-1);
    if (!last) return { done: false, against: null, by: [] };
    const missing = step.line.needed - last.record.body.have;
    return {
      done: true,
      against: missing > 0 ? shortWords(step.line, last.record.body.have) : null,
      by: [last.record.id],
    };
  }
  const last =
    step.verb === 'weigh'
      ? own(notesOf(log, 'weight')).find(({ record }) => record.body.what === step.subject)
      : step.verb === 'sign'
        ? own(notesOf(log, 'signature')).find(({ record }) => record.body.slot === step.subject)
        : own(notesOf(log, 'caution')).find(({ record }) => record.body.id === step.subject);
  const by = last ?? skip;
  return { done: Boolean(by), against: null, by: by ? [by.record.id] : [] };
}

function shortWords({ needed, name, unit }: Extract<KitStep, { verb: 'count' }>['line'], have: number): string {
  return `Short: ${amountWords(needed - have, unit)} of ${name}`;
}
