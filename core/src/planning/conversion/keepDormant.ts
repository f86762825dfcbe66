/**
 * A part that is hard to remove may stay in, out of use: its plugs are pulled, its wires come off the board and are
 * insulated. What comes in its stead gets a place of its own.
 */
import type { Build, Wire, WireEnd } from '../../facts/assembly/build';
import { landedOn } from '../../facts/assembly/build';
import type { HousingId, Slot } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import type { Pinned } from '../../facts/plan/plan';
import type { Wish } from '../../facts/plan/wish';
import { lookUp } from '../../facts/terms/lookUp';

/** The target with the part of the build as it is left in, dormant. It is judged like every other part. */
export function keepDormant(target: Build, asBuilt: Build, slot: Slot): Build {
  const fitted = lookUp(asBuilt.slots, slot);
  if (!fitted || Object.hasOwn(target.slots, slot)) return target;
  const onPart = (end: WireEnd) => landedOn(end) !== null && splitRef(landedOn(end)!).slot === slot;
  const isOwn = ({ ends }: Wire) => ends.some(onPart);
  // A plug of its own is pulled and stays on its wires; out of a plug that others use its contacts are taken.
  const stays = (housing: HousingId) =>
    !Object.hasOwn(target.housings, housing) &&
    Object.values(asBuilt.wires).every(
      (wire) => isOwn(wire) || wire.ends.every(({ at }) => at.on !== 'cavity' || at.housing !== housing),
    );
  const left = (end: WireEnd): WireEnd =>
    onPart(end) || (end.at.on === 'cavity' && stays(end.at.housing))
      ? end
      : { at: { on: 'air', end: 'insulated' }, by: 'none' };
  const own = Object.values(asBuilt.wires)
    .filter((wire) => isOwn(wire) && !Object.hasOwn(target.wires, wire.id))
    .map((wire): Wire => ({ ...wire, ends: [left(wire.ends[0]), left(wire.ends[1])] }));
  const housings = own.flatMap(({ ends }) => ends.flatMap(({ at }) => (at.on === 'cavity' ? [at.housing] : [])));
  return {
    ...target,
    slots: { ...target.slots, [slot]: fitted },
    wires: { ...target.wires, ...Object.fromEntries(own.map((wire) => [wire.id, wire])) },
    housings: { ...target.housings, ...Object.fromEntries(housings.map((id) => [id, lookUp(asBuilt.housings, id)!])) },
  };
}

export interface Asked {
  slots: Build['slots'];
  wishes: readonly Wish[];
  pinned: readonly Pinned[];
}

/** The same parts and wishes with what is planned for one place planned for another. */
export function movePlace({ slots, wishes, pinned }: Asked, from: Slot, to: Slot): Asked {
  const { [from]: moved, ...others } = slots;
  if (!moved) return { slots, wishes, pinned };
  const renamed = (id: string) => (id.endsWith(` ${from}`) ? `${id.slice(0, -from.length)}${to}` : id);
  return {
    slots: { ...others, [to]: moved },
    wishes: wishes.map((wish) => (wish.of === from ? { ...wish, id: renamed(wish.id), of: to } : wish)),
    pinned: pinned.map((pin) => ({
      ...pin,
      of: pin.of.startsWith(`${from}.`) ? `${to}.${pin.of.slice(from.length + 1)}` : renamed(pin.of),
    })),
  };
}

/** The next free place of the same name, for what comes in the stead of a part that stays: RX2 beside RX. */
export function placeBeside(slot: Slot, slots: Build['slots']): Slot {
  const stem = slot.replace(/\d+$/, '');
  let number = 2;
  while (Object.hasOwn(slots, `${stem}${number}`) || `${stem}${number}` === slot) number++;
  return `${stem}${number}`;
}
