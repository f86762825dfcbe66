/** Which group of work and which stretch of the cord a part or a wire belongs to. */
import type { Build, Wire } from '../../facts/assembly/build';
import { landedOn } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { PartKind } from '../../facts/catalogue/partModel';
import type { Slot } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import type { Stretch } from './step';
import { stretches } from './step';
import { modelIn } from '../../facts/assembly/lookUp';

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
  buzzer: 'controller',
  'light controller': 'controller',
  lights: 'controller',
  propeller: 'controller',
  pack: 'controller',
};

/** Order of groups inside a stretch. */
const kindOrder = Object.keys(stretchOf) as readonly PartKind[];

/** Stretch of the part in a slot; the controller stretch for groups that are no part, such as a supplied lead. */
export function stretchOfGroup(builds: readonly Build[], group: Slot, catalogue: Catalogue): Stretch {
  const kind = kindOf(builds, group, catalogue);
  return kind ? stretchOf[kind] : 'controller';
}

/** Sorts groups: by kind, then by number. Groups that are no part come last. */
export function groupRank(builds: readonly Build[], group: Slot, catalogue: Catalogue): string {
  const kind = kindOf(builds, group, catalogue);
  const place = kind ? kindOrder.indexOf(kind) : kindOrder.length;
  return `${String(place).padStart(2, '0')} ${group.replace(/\d+/g, (digits) => digits.padStart(4, '0'))}`;
}

/** The group of a wire: its supplied lead, or of the parts at its ends the one that is put in place last. */
export function groupOfWire(wire: Wire, builds: readonly Build[], catalogue: Catalogue): Slot {
  if (wire.from === 'supplied' && wire.bundle) return wire.bundle;
  const slots = [
    ...(wire.tailOf ? [splitRef(wire.tailOf).slot] : []),
    ...wire.ends.flatMap((end) => (landedOn(end) ? [splitRef(landedOn(end)!).slot] : [])),
  ];
  const place = (slot: Slot) =>
    `${stretches.indexOf(stretchOfGroup(builds, slot, catalogue))} ${groupRank(builds, slot, catalogue)}`;
  return (
    slots.reduce<Slot | null>((last, slot) => (last !== null && place(last) >= place(slot) ? last : slot), null) ??
    wire.id
  );
}

function kindOf(builds: readonly Build[], slot: Slot, catalogue: Catalogue): PartKind | null {
  for (const build of builds) {
    const model = modelIn(build, slot, catalogue);
    if (model) return model.kind;
  }
  return null;
}
