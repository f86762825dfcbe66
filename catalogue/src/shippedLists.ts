/**
 * Lists of touches that are worked out already for builds and the meter that ship: a first start has them at once. What
 * each file says is what `probeList` gives today (`./measure lists`), and it counts only for exactly its basis.
 */
import { createHash } from 'node:crypto';
import type { Build, ListWanted, Meter, TouchList } from '@junctor/core';
import { listBasis, usualList } from '@junctor/core';
import { readJsonFolder } from './shipped';

export interface KeptList {
  /** Digest of what the list stands on. */
  basis: string;
  list: TouchList;
}

export function basisOf(build: Build, meter: Meter, wanted: ListWanted = usualList): string {
  return createHash('sha256')
    .update(listBasis(build, meter, wanted))
    .digest('hex');
}

let known: ReadonlyMap<string, TouchList> | null = null;

/** By the digest of its basis; null when none ships for it. */
export function shippedList(basis: string): TouchList | null {
  known ??= new Map(readJsonFolder<KeptList>('lists').map(({ doc }) => [doc.basis, doc.list]));
  return known.get(basis) ?? null;
}
