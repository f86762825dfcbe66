/** Which builds have their list of touches worked out before they ship: the templates and where the demo's jobs end. */
import type { Build, Meter } from '@junctor/core';
import { assemble, makeCatalogue, probeList } from '@junctor/core';
import type { KeptList } from '@junctor/catalogue';
import { basisOf, shippedMeters, shippedModels, shippedTemplates } from '@junctor/catalogue';
import { demoPlan } from '@junctor/demo';
import { loadSolver } from '@junctor/solver/node';

interface Shipping {
  name: string;
  target: Build;
}

/** The meter that every shop begins with. */
export const shippingMeter: Meter = { id: 'meter', ...shippedMeters[0]! };

export function listsToShip(): Shipping[] {
  return [
    ...shippedTemplates().map(({ id, plan }) => ({ name: id, target: plan.target })),
    { name: 'culvert-conversion', target: demoPlan('culvert-conversion').target },
  ];
}

export async function madeList({ target, name }: Shipping): Promise<KeptList> {
  const assembly = assemble(target, makeCatalogue(shippedModels()));
  const made = probeList(assembly, { meter: shippingMeter, solve: await loadSolver() });
  if (made.is === 'gave up') throw new Error(`${name}: ${made.why}`);
  return { basis: basisOf(target, shippingMeter), list: made.list };
}
