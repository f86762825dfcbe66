/** An aircraft while it is put together: its parts, what is wanted of them, and what was chosen by hand. */
import { assemble } from '../../facts/assembly/assembly';
import type { Build, Fitted } from '../../facts/assembly/build';
import { emptyBuild } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import { isMotor } from '../../facts/catalogue/kinds';
import type { PartKind, PartModel } from '../../facts/catalogue/partModel';
import { lookUp } from '../../facts/terms/lookUp';
import type { Id, Range, Slot } from '../../facts/terms/names';
import type { Wish } from '../../facts/plan/wish';
import type { Asked } from '../conversion/keepDormant';
import { wishesFor } from '../planner/wishesFor';

export interface Draft extends Asked {
  /** Of the packs that it shall fly with; null: as the parts allow. */
  cells: Range | null;
}

export const emptyDraft: Draft = { slots: {}, wishes: [], pinned: [], cells: null };

/** What each kind is called in a plan. */
const nameOf: Readonly<Record<PartKind, string>> = {
  frame: 'FRAME',
  'battery lead': 'BAT',
  capacitor: 'CAP',
  distribution: 'PDB',
  esc: 'ESC',
  'single board': 'FC',
  controller: 'FC',
  motor: 'M',
  receiver: 'RX',
  'video unit': 'VTX',
  camera: 'CAM',
  positioning: 'GPS',
  buzzer: 'BZ',
  lights: 'LED',
  'light controller': 'BOX',
  regulator: 'REG',
  antenna: 'ANT',
  adapter: 'ADP',
  cable: 'CBL',
  propeller: 'PROP',
  pack: 'PACK',
};

interface PutOn {
  model: PartModel;
  count: number;
  /** Parts in hand that the first of them are. */
  parts?: readonly Id[];
}

/** With so many more of a model in slots of their own, and with what such parts are for wished of them. */
export function putOn(draft: Draft, { model, count, parts = [] }: PutOn, catalogue: Catalogue): Draft {
  const { id, revision } = model;
  let { slots } = draft;
  const isNumbered = count > 1 || isMotor(model.kind);
  for (let index = 0; index < count; index++) {
    const fitted: Fitted = { model: id, revision, part: parts[index] ?? null, pose: null };
    slots = { ...slots, [freeSlot(model.kind, slots, isNumbered)]: fitted };
  }
  const added = Object.keys(slots).filter((slot) => !Object.hasOwn(draft.slots, slot));
  return { ...draft, slots, wishes: [...draft.wishes, ...wishesOf(slots, added, catalogue)] };
}

function freeSlot(kind: PartKind, slots: Build['slots'], isNumbered: boolean): Slot {
  const name = nameOf[kind];
  if (!isNumbered && !Object.hasOwn(slots, name)) return name;
  let number = isNumbered ? 1 : 2;
  while (Object.hasOwn(slots, `${name}${number}`)) number++;
  return `${name}${number}`;
}

/** With another model in place of parts: what is wished of them stays as far as it can serve it. */
export function inPlaceOf(
  draft: Draft,
  at: readonly Slot[],
  { model, part }: { model: PartModel; part?: Id },
  catalogue: Catalogue,
): Draft {
  const fitted: Fitted = { model: model.id, revision: model.revision, part: part ?? null, pose: null };
  const slots = { ...draft.slots, ...Object.fromEntries(at.map((slot) => [slot, fitted])) };
  const possible = wishesOf(slots, at, catalogue);
  const had = new Set(draft.wishes.map(({ purpose, of }) => `${purpose} ${of}`));
  const before = wishesOf(draft.slots, at, catalogue).map(({ id }) => id);
  const isNew = ({ id, purpose, of }: Wish) => !before.includes(id) && !had.has(`${purpose} ${of}`);
  const serves = ({ purpose, of }: Wish) =>
    !at.includes(of) || possible.some((one) => one.purpose === purpose && one.of === of);
  const wishes = [...draft.wishes.filter(serves), ...possible.filter(isNew)];
  // A choice of pad is one of what was printed there.
  const pinned = draft.pinned.filter(({ of, value }) =>
    [of, value].every((name) => !at.some((slot) => name.startsWith(`${slot}.`) || name.startsWith(`${slot}/`))),
  );
  return { ...draft, slots, wishes, pinned };
}

function wishesOf(slots: Build['slots'], of: readonly Slot[], catalogue: Catalogue): Wish[] {
  const only = Object.fromEntries(of.map((slot) => [slot, lookUp(slots, slot)!]));
  return wishesFor(assemble({ ...emptyBuild, slots: only }, catalogue));
}
