/** Parts that are replaced by another one of their kind, and what that takes off and puts on again. */
import { applyAct } from '../../facts/assembly/applyAct';
import type { Act } from '../../facts/assembly/act';
import type { Assembly } from '../../facts/assembly/assembly';
import { isAttached, landedOn, matesOn } from '../../facts/assembly/build';
import type { Change } from '../../facts/assembly/difference';
import { difference } from '../../facts/assembly/difference';
import { partnersOf } from '../../judgement/diagnosis/partners';
import { findEntry } from '../../facts/log/entries';
import type { LogState, NoteOf } from '../../facts/log/logState';
import { notesAbout, notesOf, ofJob } from '../../facts/log/notesOf';
import type { Note } from '../../facts/log/records';
import type { Id, Slot } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { lookUp } from '../../facts/terms/lookUp';

export interface Replacement {
  slot: Slot;
  note: NoteOf<'replace'>;
  /** What had to come off, and what has to go on again, as things were when it was decided. */
  off: readonly Change[];
  on: readonly Change[];
  /** Parts that may have been hurt with the old one. */
  partners: readonly Slot[];
  /** True once a picture of it was taken, or put off, since. */
  pictured: boolean;
  /** True until the old part is out of its place. */
  pending: boolean;
}

/** The replacements of a job, oldest first. */
export function replacementsIn(log: LogState, jobId: Id, target: Assembly): Replacement[] {
  return notesOf(log, 'replace')
    .filter(ofJob(jobId))
    .flatMap((note): Replacement[] => {
      const own = note.record.body;
      const { slot } = own;
      const then = findEntry(log, note.record.id)?.before.asBuilt;
      if (!then || !lookUp(then.build.slots, slot)) return [];
      const bare = withoutPart(then, slot);
      return [
        {
          slot,
          note,
          partners: partnersOf(slot, then),
          pictured: isPictured(log, note),
          off: difference(then.build, bare.build).map((change) => meant(change, own)),
          on: difference(bare.build, target.build).map((change) => meant(change, own)),
          pending: !log.acts.some(({ madeSeq, record }) => madeSeq > note.madeSeq && isOut(record.body, slot)),
        },
      ];
    });
}

function isPictured(log: LogState, { madeSeq, record }: NoteOf<'replace'>): boolean {
  const of = `${record.body.slot} before it came off`;
  const since = [...notesAbout(log, 'picture', of), ...notesAbout(log, 'skip', `picture:${of}`)];
  return since.some((note) => note.madeSeq > madeSeq);
}

/** What is left to be done, when some parts have still to come off before it goes on to the plan. */
export function leftToDo(asBuilt: Assembly, target: Assembly, replacements: readonly Replacement[]): Change[] {
  const pending = replacements.filter((one) => one.pending && Object.hasOwn(asBuilt.build.slots, one.slot));
  const bare = pending.reduce((left, { slot }) => withoutPart(left, slot), asBuilt);
  const changes = [
    ...(bare === asBuilt ? [] : difference(asBuilt.build, bare.build)),
    ...difference(bare.build, target.build),
  ];
  return replacements.reduce((list, { note }) => list.map((change) => meant(change, note.record.body)), changes);
}

/** The build when a part has been taken out of its slot: its plugs pulled, its joints opened, its own leads gone. */
export function withoutPart(assembly: Assembly, slot: Slot): Assembly {
  return actsToFree(assembly, slot).reduce(applyAct, assembly);
}

function actsToFree({ build }: Assembly, slot: Slot): Act[] {
  const plugs = matesOn(slot, build).map((id): Act => ({ do: 'unmate', id }));
  const joints = Object.values(build.wires).flatMap((wire) => {
    const own = wire.tailOf !== undefined && splitRef(wire.tailOf).slot === slot;
    return ([0, 1] as const).flatMap((end): Act[] => {
      const ref = landedOn(wire.ends[end]);
      const onIt = ref !== null && splitRef(ref).slot === slot;
      return isAttached(wire.ends[end]) && (own || onIt)
        ? [{ do: 'free', wire: wire.id, end, left: 'clean', now: 'bare' }]
        : [];
    });
  });
  return [...plugs, ...joints, { do: 'take off', slot, to: 'bench' }];
}

function isOut(act: Act, slot: Slot): boolean {
  return (act.do === 'take off' || act.do === 'fit') && act.slot === slot;
}

type Meant = Pick<Extract<Note, { saw: 'replace' }>, 'slot' | 'oldTo' | 'part'>;

/** The old part goes where it was said to go, and the part that was chosen goes in. */
function meant(change: Change, { slot, oldTo, part }: Meant): Change {
  if (change.subject !== slot || (change.verb !== 'take' && change.verb !== 'fit')) return change;
  const effect = change.effect.map((act): Act => {
    if (act.do === 'take off') return { ...act, to: oldTo };
    return act.do === 'fit' ? { ...act, fitted: { ...act.fitted, part } } : act;
  });
  return { ...change, effect };
}
