/** How long the list of touches of an aircraft takes to be worked out. */
import type { Solve } from '@junctor/core';
import { assemble, probeList } from '@junctor/core';
import { listsToShip, shippingMeter } from '../lists/shipping';
import { catalogue } from '../trials/ruleTrial';
import type { Measurement } from './measurement';
import { atMost } from './measurement';
import { median, timed } from './timed';

/** Of one with four motors, and of one with eight. */
const barsS = { few: 3, many: 10 };
const manyMotors = 8;

/** The median of three, of each aircraft that ships; the first time is printed, when nothing is compiled yet. */
export function listPaces(solve: Solve): Measurement[] {
  return listsToShip().map(({ name, target }) => {
    const seconds = [1, 2, 3].map(
      () => timed(() => probeList(assemble(target, catalogue), { meter: shippingMeter, solve })) / 1000,
    );
    console.log(`# ${name}: ${seconds.map((each) => each.toFixed(1)).join(', ')} s`);
    const motors = Object.values(target.slots).filter((slot) => catalogue.model(slot).kind === 'motor').length;
    const bar = motors >= manyMotors ? barsS.many : barsS.few;
    return atMost(`list of ${name}, ${motors} motors`, { value: median(seconds), unit: 's', bar });
  });
}
