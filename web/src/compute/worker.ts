/** Expectations are computed here, off the page. */
import type { Build, Expectation, LooseReading, Meter, PartModel, Touch } from '@junctor/core';
import { chargeAfter, compile, expectIn, looseReadings, makeCatalogue, assemble } from '@junctor/core';
import type { Circuit } from '@junctor/core';
import { expose } from 'comlink';

export interface ExpectRequest {
  models: readonly PartModel[];
  target: Build;
  touch: Touch;
  meter: Meter;
  chargeV: Readonly<Record<string, number>>;
  pauseS: number;
}

let last: { target: string; circuit: Circuit } | null = null;

function circuitOf({ models, target }: Pick<ExpectRequest, 'models' | 'target'>): Circuit {
  const key = JSON.stringify(target);
  if (last?.target !== key) last = { target: key, circuit: compile(assemble(target, makeCatalogue(models))) };
  return last.circuit;
}

const compute = {
  loose(model: PartModel, meter: Meter): LooseReading[] {
    return looseReadings(model, meter);
  },
  expectation({ touch, meter, chargeV, pauseS, ...build }: ExpectRequest): Expectation {
    return expectIn(circuitOf(build), touch, { meter, chargeV, pauseS });
  },
  /** Volts on the capacitors when the probes were held for so long. */
  chargeLeft({
    touch,
    meter,
    chargeV,
    pauseS,
    heldS,
    ...build
  }: ExpectRequest & { heldS: number }): Readonly<Record<string, number>> {
    return chargeAfter(circuitOf(build), touch, { meter, chargeV, pauseS, heldS });
  },
};

export type Compute = typeof compute;
expose(compute);
