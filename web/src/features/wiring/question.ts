/**
 * What the planner is asked: wishes, what could be wished besides, choices by hand, and old parts that may stay in. One
 * row each.
 */
import type { Asked, Pinned, Plan, Slot, WayOut, Wish, Assembly } from '@junctor/core';
import {
  dormantParts,
  emptyBuild,
  movePlace,
  pinName,
  placeBeside,
  possibleWishes,
  sameFitted,
  wishesFor,
  assemble,
} from '@junctor/core';

export interface Question extends Asked {
  cells: Plan['cells'];
  /** Old parts that stay in, unused, and where what comes in their stead has gone. */
  dormant: readonly { slot: Slot; moved: Slot | null }[];
}

export type Row =
  | { is: 'wish'; id: string; wish: Wish }
  | { is: 'unasked'; id: string; wish: Wish }
  | { is: 'held'; id: string; pin: Pinned }
  | { is: 'old'; id: string; slot: Slot; name: string; kept: boolean };

/** As the plan has it; a plan without wishes wants what its parts bring with them. */
export function firstQuestion({ target, wishes, pinned, cells }: Plan, asBuilt: Assembly): Question {
  const dormant = dormantParts(assemble(target, asBuilt.catalogue)).filter((slot) =>
    sameFitted(asBuilt.build.slots[slot], target.slots[slot]),
  );
  const slots = Object.fromEntries(Object.entries(target.slots).filter(([slot]) => !dormant.includes(slot)));
  return {
    slots,
    pinned,
    cells,
    wishes: wishes.length > 0 ? wishes : wishesFor(assemble({ ...emptyBuild, slots }, asBuilt.catalogue)),
    dormant: dormant.map((slot) => ({ slot, moved: null })),
  };
}

export function rowsOf({ slots, wishes, pinned, dormant }: Question, asBuilt: Assembly): Row[] {
  const asked = new Set(wishes.map(({ id }) => id));
  const unasked = possibleWishes(assemble({ ...emptyBuild, slots }, asBuilt.catalogue)).filter(
    ({ id }) => !asked.has(id),
  );
  const old = Object.keys(asBuilt.build.slots).filter((slot) => !sameFitted(asBuilt.build.slots[slot], slots[slot]));
  return [
    ...wishes.map((wish): Row => ({ is: 'wish', id: wish.id, wish })),
    ...unasked.map((wish): Row => ({ is: 'unasked', id: `not ${wish.id}`, wish })),
    // A port that is held stands with its wish.
    ...pinned
      .filter(({ what }) => what !== 'port')
      .map((pin): Row => ({ is: 'held', id: `held ${pinName(pin)}`, pin })),
    ...old.map((slot): Row => ({
      is: 'old',
      id: `old ${slot}`,
      slot,
      name: asBuilt.model(slot)!.name,
      kept: dormant.some((line) => line.slot === slot),
    })),
  ];
}

/** An old part stays in, and what was planned for its place goes beside it; or it comes off after all. */
export function keptOrNot(question: Question, slot: Slot): Question {
  const kept = question.dormant.find((line) => line.slot === slot);
  const dormant = question.dormant.filter((line) => line !== kept);
  if (kept) return { ...question, ...(kept.moved ? movePlace(question, kept.moved, slot) : question), dormant };
  const moved = slot in question.slots ? placeBeside(slot, question.slots) : null;
  return {
    ...question,
    ...(moved ? movePlace(question, slot, moved) : question),
    dormant: [...dormant, { slot, moved }],
  };
}

/** A choice by hand let go. */
export function without(pinned: readonly Pinned[], pin: Pinned): Pinned[] {
  return pinned.filter((pinned) => pinName(pinned) !== pinName(pin));
}

/** Asked for, or no more; what was held for it is let go. */
export function askedOrNot(question: Question, wish: Wish): Question {
  const had = question.wishes.some(({ id }) => id === wish.id);
  if (!had) return { ...question, wishes: [...question.wishes, { ...wish, must: false }] };
  return {
    ...question,
    wishes: question.wishes.filter(({ id }) => id !== wish.id),
    pinned: question.pinned.filter(({ of }) => of !== wish.id),
  };
}

export function changedWish(question: Question, wish: Wish, change: Partial<Wish>): Question {
  return { ...question, wishes: question.wishes.map((line) => (line.id === wish.id ? { ...line, ...change } : line)) };
}

const lossSteps = [1, 2, 3, 5, 8, 10];

/** The next step up; from the top back to hardly missed. */
export function nextLoss(loss: number): number {
  return lossSteps.find((step) => step > loss) ?? lossSteps[0]!;
}

/** The port that a wish is held on, in words; null when it is free. */
export function pinnedPort(pinned: readonly Pinned[], wish: Wish): string | null {
  return pinned.find(({ what, of }) => what === 'port' && of === wish.id)?.value.replace('/', ' ') ?? null;
}

const maxWays = 8;

/** As many ways out as there are keys: of each kind the cheapest first, so that eight of one kind hide no other. */
export function variedWays(ways: readonly WayOut[]): WayOut[] {
  const first = ways.filter((way, index) => ways.findIndex((other) => other.do === way.do) === index);
  return [...first, ...ways.filter((way) => !first.includes(way))].slice(0, maxWays);
}
