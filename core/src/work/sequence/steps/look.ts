import { jointWords } from '../../../facts/assembly/itemWords';
import type { Assembly } from '../../../facts/assembly/assembly';
import { invalidatedBy, standsOnJoint } from '../../../facts/log/stale';
import type { Slot } from '../../../facts/terms/names';
import { changeId } from '../../../facts/assembly/difference';
import type { Group } from '../group';
import { groupWords, nameOf } from '../group';
import type { JobContext } from '../jobContext';
import { lastNote } from '../jobContext';
import { turns } from '../order';
import type { PlacedChange } from '../placedChanges';
import type { Draft, StepKind, StepState } from '../step';
import { done, open } from '../step';
import { lookUp } from '../../../facts/terms/lookUp';

type LookAbout =
  { kind: 'joints'; of: Group; joints: readonly string[] } | { kind: 'plug'; slot: Slot; connector: string };

type LookStep = Draft<'look', LookAbout>;

/** One look after each row of joints, and one into each plug before it is mated. */
export const look: StepKind<LookStep> = {
  plan: ({ changes, target }) => [...looksAtJoints(changes, target), ...looksIntoPlugs(changes, target)],
  state: ({ about, subject }, job) =>
    about.kind === 'plug' ? lookedInto(subject, job) : lookedAtJoints(about.joints, job),
  words: ({ about }, { target }) => {
    if (about.kind === 'plug') return `Look into plug ${about.slot} ${about.connector} and its lead: no bent pin`;
    const { length } = about.joints;
    return `Look at ${length === 1 ? 'the joint' : `the ${length} joints`} of ${groupWords(about.of, target)}`;
  },
  why: ({ about }) =>
    about.kind === 'plug' ? 'a bent pin puts the pack on a logic chip' : 'a bridge is seen now or heard later',
  takesS: ({ about }) => 10 + 8 * subjectsOf(about).length,
};

/** What a look records: each joint, or the plug. */
export function lookedAt({ about, subject }: LookStep): readonly string[] {
  return about.kind === 'plug' ? [subject] : about.joints;
}

function subjectsOf(about: LookAbout): readonly string[] {
  return about.kind === 'plug' ? [] : about.joints;
}

/** The power path's joints share two pads and are looked at together. */
function looksAtJoints(changes: readonly PlacedChange[], { build }: Assembly): LookStep[] {
  const rows = new Map<string, { place: PlacedChange['place']; of: Group; joints: string[] }>();
  for (const { verb, subject, about, place } of changes) {
    if (verb !== 'land' || lookUp(build.wires, about.wire)?.ends[about.end].by !== 'solder') continue;
    const of: Group = place.stretch === 'power path' ? { kind: 'power path' } : place.group;
    const row = rows.get(nameOf(of)) ?? { place, of, joints: [] };
    row.joints.push(subject);
    rows.set(nameOf(of), row);
  }
  return [...rows].map(([subject, { place, of, joints }]): LookStep => ({
    verb: 'look',
    subject,
    about: { kind: 'joints', of, joints },
    place: { stretch: place.stretch, group: of, turn: turns.look },
  }));
}

function looksIntoPlugs(changes: readonly PlacedChange[], { build }: Assembly): LookStep[] {
  return changes.flatMap(({ verb, about, place }): LookStep[] => {
    if (verb !== 'mate') return [];
    const mate = lookUp(build.mates, about.mate);
    const side = mate && [mate.a, mate.b].find((end) => 'slot' in end);
    if (!side || !('slot' in side)) return [];
    const { slot, connector } = side;
    return [
      {
        verb: 'look',
        subject: `${slot}.${connector}`,
        about: { kind: 'plug', slot, connector },
        place: { ...place, turn: turns.look },
      },
    ];
  });
}

function lookedInto(plug: string, job: JobContext): StepState {
  const last = lastNote(job, 'look', plug);
  if (!last) return open();
  return last.record.body.grade === 'redo' ? open(`${plug.replace('.', ' ')} is to be redone`) : done(last.record.id);
}

function lookedAtJoints(joints: readonly string[], job: JobContext): StepState {
  const used: string[] = [];
  for (const joint of joints) {
    if (job.leftIds.has(changeId({ verb: 'land', subject: joint }))) return open();
    const last = lastNote(job, 'look', joint);
    if (!last) return open();
    const act = invalidatedBy(last, job.log, standsOnJoint(joint));
    if (act) return open(`${jointWords(joint, job.asBuilt)} was worked on since the last look`, act.record.id);
    if (last.record.body.grade === 'redo') return open(`${jointWords(joint, job.asBuilt)} is to be redone`);
    used.push(last.record.id);
  }
  return done(...used);
}
