/** All steps of a job in the order of work: done ones by the log, open ones by what is left of the difference. */
import type { Build } from '../../facts/assembly/build';
import { landedOn } from '../../facts/assembly/build';
import type { Change } from '../../facts/assembly/difference';
import { difference } from '../../facts/assembly/difference';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { ContinuityList } from '../../judgement/checks/continuityTouches';
import { jointName, splitJoint } from '../../facts/terms/names';
import type { DoneContext } from './done';
import { noteState, wantsRedo, workBegun } from './done';
import { takesS } from './durations';
import { checklist } from './firstPower';
import { groupOfWire, groupRank, stretchOfGroup } from './groups';
import type { Alloy } from '../../physics/joints/recipe';
import type { KitStep } from './kitSteps';
import { kitState, kitSteps } from './kitSteps';
import type { Step, StepKind, Stretch } from './step';
import { stretches } from './step';
import type { StepId } from '../../facts/terms/names';
import { modelIn } from '../../facts/assembly/lookUp';

export interface StepsInput {
  /** As built when the job began, as built now, and where it should end. */
  start: Build;
  asBuilt: Build;
  target: Build;
  catalogue: Catalogue;
  alloy: Alloy;
  touches: ContinuityList;
  context: DoneContext;
}

type Draft = StepKind & { stretch: Stretch; group: string };

export function steps(input: StepsInput): Step[] {
  const { asBuilt, target, context } = input;
  const remaining = new Set(difference(asBuilt, target).map(changeId));
  const ordered = [...kitDrafts(input), ...workDrafts(input), ...continuityDrafts(input), ...powerDrafts(input)];
  let before: StepId[] = [];
  return ordered.map((draft): Step => {
    const id: StepId = `${draft.verb}:${draft.subject}`;
    const state = isKit(draft)
      ? { ...kitState(draft, context), reopenedBy: null }
      : isWork(draft)
        ? { done: !remaining.has(id), against: null, by: [], reopenedBy: null }
        : noteState(draft, context);
    const stillWanted = draft.verb === 'redo' ? { ...state, done: false } : state;
    const needs = before;
    before = [id];
    return { ...draft, id, needs, takesS: takesS(draft, target), ...stillWanted };
  });
}

/** True for steps that are acts of the difference. */
function isWork(step: StepKind): step is StepKind & Change {
  return 'effect' in step && step.verb !== 'redo';
}

function changeId({ verb, subject }: Change): StepId {
  return `${verb}:${subject}`;
}

type KitDraft = Draft & KitStep;

function isKit(draft: Draft): draft is KitDraft {
  return draft.stretch === 'kit';
}

function kitDrafts({ start, target, catalogue, context, alloy }: StepsInput): Draft[] {
  return kitSteps(start, target, catalogue, context, alloy).map((step) => ({ ...step, stretch: 'kit', group: 'kit' }));
}

function workDrafts(input: StepsInput): Draft[] {
  const { start, asBuilt, target, catalogue } = input;
  const builds = [target, asBuilt, start];
  const all = new Map<string, Change>();
  for (const change of [...difference(start, target), ...difference(asBuilt, target)])
    all.set(changeId(change), change);
  // What came in with the quad and shall go is taken off before anything new goes on.
  const old = new Set(
    difference(start, target)
      .filter(({ verb }) => takesAway.has(verb))
      .map(changeId),
  );
  const placed = [...all.values()].map((change): Draft => {
    if (old.has(changeId(change))) return { ...change, group: oldGroup, stretch: 'power path' };
    const group = groupOfChange(change, builds, catalogue);
    return { ...change, group, stretch: stretchOfGroup(builds, group, catalogue) };
  });
  const before: Draft[] = old.size > 0 ? beforeOpening(input) : [];
  const caution: Draft = { verb: 'say', subject: 'hot iron', stretch: 'power path', group: 'bench' };
  return [caution, ...before, ...placed, ...looks(input, placed), ...redos(input)].sort((a, b) =>
    compare(a, b, builds, catalogue),
  );
}

const oldGroup = 'what comes off';
/** A picture, and leads that tear when a lid lifts: before the first work only, since what is off already cannot be seen any more. */
function beforeOpening({ start, context }: StepsInput): Draft[] {
  const inLid = Object.values(start.wires).filter(({ via }) => via.some((place) => place.startsWith('lid')));
  const kinds: StepKind[] = [
    { verb: 'picture', subject: 'the old wiring' },
    ...inLid.map(({ id }) => ({ verb: 'say', subject: `lead in the lid ${id}` }) as const),
  ];
  const begun = workBegun(context);
  return kinds
    .filter((kind) => !begun || noteState(kind, context).done)
    .map((kind): Draft => ({ ...kind, stretch: 'power path', group: oldGroup }));
}

/** Plugs first, then the iron, then the part that nothing holds any more. */
const offOrder: readonly string[] = ['unmate', 'free', 'drop', 'take', 'unhouse'];
const takesAway: ReadonlySet<string> = new Set(offOrder);

function groupOfChange({ verb, subject }: Change, builds: readonly Build[], catalogue: Catalogue): string {
  if (verb === 'fit' || verb === 'take' || verb === 'lead') return subject;
  if (verb === 'mate' || verb === 'unmate') return `plug ${subject}`;
  if (verb === 'house' || verb === 'unhouse') return subject;
  const id = verb === 'drop' ? subject : splitJoint(subject)!.wire;
  const wire = builds.map((build) => build.wires[id]).find(Boolean);
  return wire ? groupOfWire(wire, builds, catalogue) : id;
}

/** One look after each row of joints; the power path's joints share two pads and are looked at together. */
function looks({ target }: StepsInput, placed: readonly Draft[]): Draft[] {
  const byGroup = new Map<string, { stretch: Stretch; group: string; joints: string[] }>();
  for (const { verb, subject, group, stretch } of placed) {
    if (verb !== 'land') continue;
    const { wire, end } = splitJoint(subject)!;
    if (target.wires[wire]?.ends[end].by !== 'solder') continue;
    const name = stretch === 'power path' ? 'power path' : group;
    const entry = byGroup.get(name) ?? { stretch, group, joints: [] };
    entry.joints.push(subject);
    byGroup.set(name, entry);
  }
  const joints = [...byGroup].map(([name, { stretch, group, joints: list }]): Draft => ({
    verb: 'look',
    subject: name,
    joints: list,
    plug: null,
    stretch,
    group: name === 'power path' ? name : group,
  }));
  const plugs = placed.flatMap((draft): Draft[] => {
    if (draft.verb !== 'mate') return [];
    const mate = target.mates[draft.subject];
    const side = mate && [mate.a, mate.b].find((one) => 'slot' in one);
    if (!side || !('slot' in side)) return [];
    const plug = `${side.slot}.${side.connector}`;
    return [{ verb: 'look', subject: plug, joints: [], plug, stretch: draft.stretch, group: draft.group }];
  });
  return [...joints, ...plugs];
}

function redos({ target, asBuilt, catalogue, context, start }: StepsInput): Draft[] {
  const builds = [target, asBuilt, start];
  return Object.values(asBuilt.wires).flatMap((wire) =>
    ([0, 1] as const).flatMap((end): Draft[] => {
      const subject = jointName(wire.id, end);
      if (wire.ends[end].by !== 'solder' || !landedOn(wire.ends[end]) || !wantsRedo(subject, context.log)) return [];
      const group = groupOfWire(wire, builds, catalogue);
      const effect = [{ do: 'reheat' as const, wire: wire.id, end, dwellS: null }];
      return [{ verb: 'redo', subject, effect, group, stretch: stretchOfGroup(builds, group, catalogue) }];
    }),
  );
}

const verbOrder: readonly string[] = [
  'unmate',
  'take',
  'drop',
  'unhouse',
  'fit',
  'house',
  'lead',
  'free',
  'land',
  'redo',
  'look',
  'mate',
];

function compare(a: Draft, b: Draft, builds: readonly Build[], catalogue: Catalogue): number {
  const stretch = stretches.indexOf(a.stretch) - stretches.indexOf(b.stretch);
  if (stretch !== 0) return stretch;
  if (a.group !== b.group) return rankOf(a, builds, catalogue) < rankOf(b, builds, catalogue) ? -1 : 1;
  if (a.group === oldGroup) return offOrder.indexOf(a.verb) - offOrder.indexOf(b.verb);
  const [jointA, jointB] = [jointOf(a), jointOf(b)];
  if (jointA && jointB && jointA.key !== jointB.key) return jointA.key < jointB.key ? -1 : 1;
  return verbOrder.indexOf(a.verb) - verbOrder.indexOf(b.verb);
}

/** The look at the whole power path comes after its last group, plugs after every other group. */
function rankOf(draft: Draft, builds: readonly Build[], catalogue: Catalogue): string {
  if (draft.group === 'bench') return '';
  if (draft.group === oldGroup) return ' ';
  if (draft.group === 'power path') return '98';
  if (draft.group.startsWith('plug ')) return `99 ${plugOrder(draft, builds, catalogue)}`;
  return groupRank(builds, draft.group, catalogue);
}

function plugOrder(draft: Draft, builds: readonly Build[], catalogue: Catalogue): string {
  const mate = builds.map((build) => build.mates[draft.group.slice('plug '.length)]).find(Boolean);
  const slot = mate && 'slot' in mate.a ? mate.a.slot : '';
  const kind = slot ? modelIn(builds[0]!, slot, catalogue)?.kind : null;
  return `${kind === 'esc' ? 0 : 1} ${draft.group}`;
}

/** Joints of one group: all near ends first, then all far ends; freeing comes before landing of the same joint. */
function jointOf(draft: Draft): { key: string } | null {
  if (draft.verb !== 'land' && draft.verb !== 'free' && draft.verb !== 'redo') return null;
  const { wire, end } = splitJoint(draft.subject)!;
  return { key: `${end} ${wire}` };
}

function continuityDrafts({ touches }: StepsInput): Draft[] {
  const place = { stretch: 'continuity', group: 'continuity' } as const;
  return [
    { verb: 'prove', subject: 'meter', ...place },
    ...touches.touches.map((listed): Draft => ({
      verb: 'touch',
      subject: `${listed.touch.black}~${listed.touch.red}~${listed.touch.mode}`,
      listed,
      ...place,
    })),
  ];
}

function powerDrafts({ target, catalogue }: StepsInput): Draft[] {
  const place = { stretch: 'first power', group: 'first power' } as const;
  const says = checklist(target, catalogue).map((subject): Draft => ({ verb: 'say', subject, ...place }));
  return [
    ...says,
    { verb: 'pack', subject: 'measured', ...place },
    { verb: 'permit', subject: 'first power', ...place },
    { verb: 'power', subject: 'limited, all', ...place },
  ];
}
