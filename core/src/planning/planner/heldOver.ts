/** What is wired, as it can go on where another model is asked for: every wire at the pad that means the same. */
import type { Build, Wire } from '../../facts/assembly/build';
import { emptyBuild, sameFitted } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import { swapModel } from '../../facts/plan/swapModel';
import { lookUp } from '../../facts/terms/lookUp';
import type { Slot } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { sameJson } from '../../facts/terms/sameJson';

export interface HeldOver {
  build: Build;
  /** False for a part that is replaced: whatever is on it comes off. */
  stays: (slot: Slot) => boolean;
}

/** What a pad is called counts for nothing. A plug that the new model has no socket for is no part of it any more. */
export function heldOver(keep: Build | undefined, slots: Build['slots'], catalogue: Catalogue): HeldOver {
  const before = keep ?? emptyBuild;
  const isReplaced = (slot: Slot) => {
    const [was, is] = [lookUp(before.slots, slot), lookUp(slots, slot)];
    return was !== undefined && is !== undefined && !sameFitted(was, is);
  };
  const build = Object.keys(before.slots)
    .filter(isReplaced)
    .reduce((left, slot) => {
      const [from, to] = [lookUp(left.slots, slot)!, lookUp(slots, slot)!].map((fitted) => catalogue.model(fitted));
      const plan = {
        target: left,
        front: null,
        links: [],
        wishes: [],
        pinned: [],
        cells: [1, 1],
        schools: {},
      } as const;
      return withoutTails(withoutOtherPlugs(left, swapModel(plan, slot, from!, to!).plan.target), slot);
    }, before);
  return { build, stays: (slot) => !isReplaced(slot) };
}

/** The leads of a part go with it. */
function withoutTails(build: Build, slot: Slot): Build {
  const isOther = ({ tailOf }: Wire) => tailOf === undefined || splitRef(tailOf).slot !== slot;
  return { ...build, wires: only(build.wires, isOther) };
}

/** Nobody puts another shell over contacts that are in one: such a lead is made anew. */
function withoutOtherPlugs(before: Build, after: Build): Build {
  const changed = new Set(
    Object.keys(after.housings).filter((id) => !sameJson(lookUp(before.housings, id), lookUp(after.housings, id))),
  );
  if (changed.size === 0) return after;
  return {
    ...after,
    housings: only(after.housings, (_, id) => !changed.has(id)),
    mates: only(after.mates, ({ a, b }) => [a, b].every((side) => !('housing' in side) || !changed.has(side.housing))),
    wires: only(after.wires, ({ ends }) => ends.every(({ at }) => at.on !== 'cavity' || !changed.has(at.housing))),
  };
}

function only<T>(table: Readonly<Record<string, T>>, stays: (one: T, id: string) => boolean): Record<string, T> {
  return Object.fromEntries(Object.entries(table).filter(([id, one]) => stays(one, id)));
}
