/** A bench with the shipped meter and a middling pack, for walks in which it does not matter whose it is. */
import { shippedMeter } from '@junctor/catalogue';
import type { Bench } from './bench';
import { listFor } from './listFor';

/** @param given What the walk is about; anything else of the bench may be given too. */
export function plainBench(given: Pick<Bench, 'plan' | 'catalogue' | 'newId'> & Partial<Bench>): Bench {
  const { plan, catalogue, meter = { id: 'meter', name: 'meter', ...shippedMeter } } = given;
  return {
    quadId: 'quad',
    jobId: plan.jobId,
    meter,
    list: listFor(plan.target, catalogue, meter),
    limiterId: 'limiter',
    personId: 'person',
    deviceId: 'device',
    packV: plan.cells[1] * 3.9,
    ...given,
  };
}
