/** Expectations and layouts are computed here, off the page. */
import type {
  Assembly,
  Build,
  Defect,
  Expectation,
  Heard,
  LooseReading,
  LooseTouch,
  Meter,
  PartModel,
  Pose,
  Touch,
} from '@junctor/core';
import {
  bestLay,
  causesOf,
  chargeAfter,
  compileSound,
  expectIn,
  looseReadings,
  makeCatalogue,
  assemble,
} from '@junctor/core';
import { expose } from 'comlink';

export interface ExpectRequest {
  models: readonly PartModel[];
  /** What is there. */
  build: Build;
  touch: Touch;
  meter: Meter;
  chargeV: Readonly<Record<string, number>>;
  pauseS: number;
}

interface CausesRequest {
  models: readonly PartModel[];
  /** What is planned. */
  build: Build;
  reading: { touch: Touch; heard: Heard };
  meter: Meter;
  /** Faults that the touch would show, and those that others have ruled out: places in the list. */
  shown: readonly number[];
  cleared: readonly number[];
}

export type Cause = Omit<Defect, 'edits'>;

let last: { build: string; assembly: Assembly } | null = null;

/** What follows from a build is worked out once for as long as it is asked about. */
function assemblyOf({ models, build }: Pick<ExpectRequest, 'models' | 'build'>): Assembly {
  const key = JSON.stringify(build);
  if (last?.build !== key) last = { build: key, assembly: assemble(build, makeCatalogue(models)) };
  return last.assembly;
}

const compute = {
  /** Poses of the parts that a plan leaves open. */
  lay(of: Pick<ExpectRequest, 'models' | 'build'>): [slot: string, pose: Pose][] {
    return [...bestLay(assemblyOf(of)).poses];
  },
  loose(model: PartModel, meter: Meter, listed: readonly LooseTouch[] = []): LooseReading[] {
    return looseReadings(model, meter, listed);
  },
  causes({ models, build, ...asked }: CausesRequest): Cause[] {
    return causesOf(assemblyOf({ models, build }), asked).map(({ edits: _, ...cause }) => cause);
  },
  expectation({ touch, meter, chargeV, pauseS, ...of }: ExpectRequest): Expectation {
    return expectIn(compileSound(assemblyOf(of)), touch, { meter, chargeV, pauseS });
  },
  /** Volts on the capacitors when the probes were held for so long. */
  chargeLeft({
    touch,
    meter,
    chargeV,
    pauseS,
    heldS,
    ...of
  }: ExpectRequest & { heldS: number }): Readonly<Record<string, number>> {
    return chargeAfter(compileSound(assemblyOf(of)), touch, { meter, chargeV, pauseS, heldS });
  },
};

export type Compute = typeof compute;
expose(compute);
