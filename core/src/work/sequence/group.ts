/** Steps of one group stand together: those of a part, of a supplied lead, of a plug, of what comes off. */
import type { Assembly } from '../../facts/assembly/assembly';
import { leadWords, plugWords } from '../../facts/assembly/plugWords';
import { slotWords } from '../../facts/assembly/slotWords';
import type { Wire } from '../../facts/assembly/build';
import { landedOn } from '../../facts/assembly/build';
import type { PartKind } from '../../facts/catalogue/partModel';
import type { Slot } from '../../facts/terms/names';
import { compareNames, splitRef } from '../../facts/terms/names';
import type { Stretch } from './stretch';
import { stretches } from './stretch';

export type Group =
  | { kind: 'kit' }
  | { kind: 'bench' }
  | { kind: 'what comes off' }
  | { kind: 'part'; slot: Slot }
  /** A supplied lead, a housing or a wire that belongs to no part. */
  | { kind: 'loose'; name: string }
  | { kind: 'power path' }
  | { kind: 'plug'; mate: string }
  | { kind: 'continuity' }
  | { kind: 'first power' }
  | { kind: 'hand-over' };

const stretchOf: Readonly<Record<PartKind, Stretch>> = {
  frame: 'power path',
  distribution: 'power path',
  esc: 'power path',
  'single board': 'power path',
  regulator: 'power path',
  capacitor: 'power path',
  'battery lead': 'power path',
  motor: 'motors',
  controller: 'controller',
  adapter: 'controller',
  receiver: 'controller',
  positioning: 'controller',
  'video unit': 'controller',
  camera: 'controller',
  antenna: 'controller',
  cable: 'controller',
  buzzer: 'controller',
  'light controller': 'controller',
  lights: 'controller',
  propeller: 'controller',
  pack: 'controller',
};

/** In this order the parts of a stretch are put in place. */
const kindOrder = Object.keys(stretchOf) as readonly PartKind[];

/** The first of these builds that has the part tells what it is. */
export type Builds = readonly Assembly[];

function kindOf(builds: Builds, slot: Slot): PartKind | null {
  return builds.map((build) => build.model(slot)?.kind).find(Boolean) ?? null;
}

/** Stretch of a group of work; that of the controller for what is no part. */
export function stretchOfGroup(builds: Builds, group: Group): Stretch {
  const kind = group.kind === 'part' ? kindOf(builds, group.slot) : null;
  return kind ? stretchOf[kind] : 'controller';
}

/** Place of a part among the groups of its stretch: by kind. What is no part comes last. */
export function kindRank(builds: Builds, group: Group): number {
  const kind = group.kind === 'part' ? kindOf(builds, group.slot) : null;
  return kind ? kindOrder.indexOf(kind) : kindOrder.length;
}

/** The group of a wire: its supplied lead, or of the parts at its ends the one that is put in place last. */
export function groupOfWire(wire: Wire, builds: Builds): Group {
  if (wire.from === 'supplied' && wire.bundle) return { kind: 'loose', name: wire.bundle };
  const refs = [...(wire.tailOf ? [wire.tailOf] : []), ...wire.ends.flatMap((end) => landedOn(end) ?? [])];
  const parts = refs.map((ref): Group => ({ kind: 'part', slot: splitRef(ref).slot }));
  const last = parts.reduce<Group | null>(
    (so, part) => (so !== null && comparePlaces(so, part, builds) >= 0 ? so : part),
    null,
  );
  return last ?? { kind: 'loose', name: wire.id };
}

function comparePlaces(a: Group, b: Group, builds: Builds): number {
  const stretch = (group: Group) => stretches.indexOf(stretchOfGroup(builds, group));
  return stretch(a) - stretch(b) || kindRank(builds, a) - kindRank(builds, b) || compareNames(nameOf(a), nameOf(b));
}

/** What a group is called. */
export function nameOf(group: Group): string {
  switch (group.kind) {
    case 'part':
      return group.slot;
    case 'loose':
      return group.name;
    case 'plug':
      return group.mate;
    default:
      return group.kind;
  }
}

/** What a group is called at the bench. */
export function groupWords(group: Group, assembly: Assembly): string {
  switch (group.kind) {
    case 'part':
      return slotWords(group.slot, assembly);
    case 'loose':
      return leadWords(group.name, assembly);
    case 'plug':
      return `plug ${plugWords(group.mate, assembly)}`;
    default:
      return `the ${group.kind}`;
  }
}

/** True when steps of the two stand together. */
export function isSameGroup(a: Group, b: Group): boolean {
  return a.kind === b.kind && nameOf(a) === nameOf(b);
}
