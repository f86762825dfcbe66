/** A heap begun on a plan that somebody else has changed since: theirs stands where nothing was done here. */
import type { Fitted, Slot } from '@junctor/core';
import { sameFitted } from '@junctor/core';
import type { Heaped } from './useHeap';

type Slots = Readonly<Record<Slot, Fitted>>;

/** @param base What lay there when this heap was begun. */
export function rebased(mine: Heaped, base: Slots, theirs: Heaped): Heaped {
  const isMine = (slot: Slot) => !isSame(mine.slots[slot], base[slot]);
  const all = [...new Set([...Object.keys(theirs.slots), ...Object.keys(mine.slots)])];
  const slots = all.flatMap((slot) => {
    const fitted = isMine(slot) ? mine.slots[slot] : theirs.slots[slot];
    return fitted ? [[slot, fitted] as const] : [];
  });
  return {
    ...theirs,
    slots: Object.fromEntries(slots),
    wishes: [
      ...theirs.wishes.filter(({ of }) => !isMine(of)),
      ...mine.wishes.filter(({ of }) => isMine(of) && mine.slots[of] !== undefined),
    ],
    cells: mine.cells ?? theirs.cells,
  };
}

function isSame(a: Fitted | undefined, b: Fitted | undefined): boolean {
  return a === b || (a?.part === b?.part && sameFitted(a, b));
}
