/** What a way out changes, and how a pin is found. */
import type { Build, Pinned, WayOut, Wish } from '@junctor/core';

export interface Wanted {
  wishes: readonly Wish[];
  pinned: readonly Pinned[];
  slots: Build['slots'];
}

/** Wishes, choices by hand and parts once a way out is taken. */
export function withWay(way: WayOut, { wishes, pinned, slots }: Wanted): Wanted {
  switch (way.do) {
    case 'drop':
      return { wishes: wishes.map((one) => (one.id === way.wish ? { ...one, must: false } : one)), pinned, slots };
    case 'allow':
      return { wishes: wishes.map((one) => (one.id === way.wish ? { ...one, ways: [...one.ways, way.way] } : one)), pinned, slots };
    case 'unpin':
      return { wishes, pinned: pinned.filter(({ of }) => of !== way.of), slots };
    case 'exchange':
      return { wishes, pinned, slots: { ...slots, [way.slot]: { ...slots[way.slot]!, model: way.model, revision: way.revision, part: null } } };
  }
}

/** The port that a wish is held on, in words; null when it is free. */
export function pinnedPort(pinned: readonly Pinned[], wish: Wish): string | null {
  return pinned.find(({ what, of }) => what === 'port' && of === wish.id)?.value.replace('/', ' ') ?? null;
}
