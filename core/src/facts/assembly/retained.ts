/** What of a build can stay as it is on the way to another. */
import type { Catalogue } from '../catalogue/catalogue';
import { applyAct } from './applyAct';
import type { Build } from './build';
import { sameFitted } from './build';

/**
 * The build without the parts that the target has another model for: a joint on the old receiver is no joint on the new one,
 * though both sit in the same slot. The same object when no part is replaced.
 */
export function standing(build: Build, target: Build, catalogue: Catalogue): Build {
  const replaced = Object.keys(build.slots).filter(
    (slot) => slot in target.slots && !sameFitted(build.slots[slot], target.slots[slot]),
  );
  return replaced.reduce((left, slot) => applyAct(left, { do: 'take off', slot, to: 'bench' }, catalogue), build);
}
