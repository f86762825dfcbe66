/** One way out of a conflict, and what is asked once it is taken. */
import { lookUp } from '../../facts/terms/lookUp';
import type { Range, Slot } from '../../facts/terms/names';
import type { Pinned } from '../../facts/plan/plan';
import type { PlanRequest } from './request';
import { withoutParts } from './restricted';

export type WayOut = { loss: number; message: string } & (
  | { do: 'drop'; wishes: readonly string[] }
  | { do: 'allow'; wish: string; way: string }
  | { do: 'unpin'; pin: Pinned }
  | { do: 'exchange'; slots: readonly Slot[]; model: string; revision: number }
  | { do: 'add'; slots: readonly Slot[]; model: string; revision: number }
  | { do: 'leave out'; parts: readonly Slot[] }
  | { do: 'cells'; cells: Range }
);

/** The request once a way out is taken. */
export function withWayOut<T extends Pick<PlanRequest, 'slots' | 'wishes' | 'pinned'> & { cells: Range | null }>(
  way: WayOut,
  request: T,
): T {
  const { slots, wishes, pinned } = request;
  switch (way.do) {
    case 'drop':
      return {
        ...request,
        wishes: wishes.map((wish) => (way.wishes.includes(wish.id) ? { ...wish, must: false } : wish)),
      };
    case 'allow':
      return {
        ...request,
        wishes: wishes.map((wish) => (wish.id === way.wish ? { ...wish, ways: [...wish.ways, way.way] } : wish)),
      };
    case 'unpin':
      return { ...request, pinned: pinned.filter(({ what, of }) => what !== way.pin.what || of !== way.pin.of) };
    case 'exchange': {
      const { model, revision } = way;
      const others = way.slots.map((slot) => [slot, { ...lookUp(slots, slot)!, model, revision, part: null }] as const);
      return { ...request, slots: { ...slots, ...Object.fromEntries(others) } };
    }
    case 'add': {
      const fitted = { model: way.model, revision: way.revision, part: null, pose: null };
      return { ...request, slots: { ...slots, ...Object.fromEntries(way.slots.map((slot) => [slot, fitted])) } };
    }
    case 'leave out':
      return withoutParts(request, new Set(way.parts));
    case 'cells':
      return { ...request, cells: way.cells };
  }
}
