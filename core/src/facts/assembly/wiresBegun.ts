/** What has been begun at the bench, as it is meant to go on. */
import type { Build, Wire } from './build';
import { isAttached } from './build';
import { lookUp } from '../terms/lookUp';

/**
 * As built, with each wire of which one end is landed led to where the plan wants its other end: a wire that is half
 * done is
 * gone on with, not taken off again because it joins nothing yet.
 */
export function wiresBegun(asBuilt: Build, target: Build): Build {
  const wires = Object.values(asBuilt.wires).map((wire): Wire => {
    const planned = lookUp(target.wires, wire.id);
    if (!planned || !wire.ends.some(isAttached)) return wire;
    const end = (index: 0 | 1) => (wire.ends[index].at.on === 'air' ? planned.ends[index] : wire.ends[index]);
    return { ...wire, ends: [end(0), end(1)] };
  });
  return { ...asBuilt, wires: Object.fromEntries(wires.map((wire) => [wire.id, wire])) };
}
