/** A request with less in it: fewer parts, fewer wishes that must be met. */
import type { Pinned } from '../../facts/plan/plan';
import type { Slot } from '../../facts/terms/names';
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
  const stays = ({ what, of, value }: Pinned) =>
    [of, value].every((name) => !gone.has(/^([^./]+)[./]/.exec(name)?.[1] ?? '')) && (what !== 'port' || asked.has(of));
  return { ...request, slots, wishes, pinned: request.pinned.filter(stays) };
}
