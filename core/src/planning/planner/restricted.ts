/** A request with less in it: fewer parts, fewer wishes that must be met. */
import { assemble } from '../../facts/assembly/assembly';
import { emptyBuild } from '../../facts/assembly/build';
import type { Pinned } from '../../facts/plan/plan';
import type { Slot } from '../../facts/terms/names';
import { alwaysWired, takesPart } from './needs';
import { optionsFor } from './options';
import type { PlanRequest } from './request';

export function mustsOf({ wishes }: Pick<PlanRequest, 'wishes'>): ReadonlySet<string> {
  return new Set(wishes.filter(({ must }) => must).map(({ id }) => id));
}

/** The same with these wishes as musts, and no others. */
export function withMusts(request: PlanRequest, musts: ReadonlySet<string>): PlanRequest {
  return { ...request, wishes: request.wishes.map((wish) => ({ ...wish, must: musts.has(wish.id) })) };
}

/** The same without some parts, and without what is wished of them or held for them. */
export function withoutParts<T extends Pick<PlanRequest, 'slots' | 'wishes' | 'pinned'>>(
  request: T,
  gone: ReadonlySet<Slot>,
): T {
  const slots = Object.fromEntries(Object.entries(request.slots).filter(([slot]) => !gone.has(slot)));
  const wishes = request.wishes.filter(({ of }) => !gone.has(of));
  const asked = new Set(wishes.map(({ id }) => id));
  const stays = (pin: Pinned) =>
    partsNamed(pin).every((slot) => !gone.has(slot)) && (pin.what !== 'port' || asked.has(pin.of));
  return { ...request, slots, wishes, pinned: request.pinned.filter(stays) };
}

/** The parts whose terminals or ports a choice by hand names. */
export function partsNamed({ of, value }: Pinned): Slot[] {
  return [of, value].flatMap((name) => /^([^./]+)[./]/.exec(name)?.[1] ?? []);
}

/**
 * The request without parts that only take and that no must is about: whatever can be wired can be wired without them.
 * A strip that hands data on is no exception: what feeds it can feed the one behind it.
 */
export function withoutUnasked(request: PlanRequest): PlanRequest {
  const assembly = assemble({ ...emptyBuild, slots: request.slots }, request.catalogue);
  const musts = request.wishes.filter(({ must }) => must);
  const ways = musts.flatMap((wish) => optionsFor(wish, assembly)).filter(({ way }) => way !== 'chained');
  const asked = new Set([
    ...musts.map(({ of }) => of),
    ...ways.flatMap(({ ends, parts }) => [...ends.map(({ slot }) => slot), ...parts]),
  ]);
  const isSpare = (slot: Slot) => {
    const model = assembly.model(slot)!;
    return takesPart(model) && !alwaysWired(model) && !asked.has(slot);
  };
  return withoutParts(request, new Set(Object.keys(request.slots).filter(isSpare)));
}
