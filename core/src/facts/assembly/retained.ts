/** What of an aircraft can stay as it is on the way to another. */
import { applyAct } from './applyAct';
import type { Assembly } from './assembly';
import type { Build } from './build';
import { sameFitted } from './build';
import { lookUp } from '../terms/lookUp';

/**
 * What is there without the parts that the target has another model for: a joint on the old receiver is no joint on the
 * new one, though both sit in the same slot. The same object when no part is replaced.
 */
export function retained(assembly: Assembly, target: Build): Assembly {
  const { slots } = assembly.build;
  const replaced = Object.keys(slots).filter(
    (slot) => Object.hasOwn(target.slots, slot) && !sameFitted(lookUp(slots, slot), lookUp(target.slots, slot)),
  );
  return replaced.reduce((left, slot) => applyAct(left, { do: 'take off', slot, to: 'bench' }), assembly);
}
