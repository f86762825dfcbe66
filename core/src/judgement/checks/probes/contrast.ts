/** One fault in a build: which touches show it, and what they read with it and without. */
import type { Assembly } from '../../../facts/assembly/assembly';
import type { Expectation, Touch } from '../../../facts/log/reading';
import type { Meter } from '../../../facts/terms/meter';
import type { Circuit } from '../../../physics/circuit/compile';
import { compileSound } from '../../../physics/circuit/compile';
import { edited } from '../../../physics/circuit/edited';
import type { Defect } from '../defects/defect';
import { expectIn } from '../expect';
import { candidatesFor } from './candidates';
import { simulator } from './simulate';

export interface Contrast {
  touch: Touch;
  good: Expectation;
  faulty: Expectation;
}

/** The circuit of the build, switched off, with the fault in it. */
export function circuitWith(assembly: Assembly, { edits, site }: Defect): Circuit {
  return edited(compileSound(assembly), edits, site);
}

/** Every touch that shows it with everything mated, the first the quickest. */
export function contrasts(assembly: Assembly, defect: Defect, meter: Meter): Contrast[] {
  const candidates = candidatesFor(assembly, [defect]);
  const good = compileSound(assembly);
  const faulty = circuitWith(assembly, defect);
  const [shownBy] = simulator(good, { defects: [defect], meter })(candidates.all).shownBy;
  const secondsOf = (place: number) => {
    const { touch, answerS } = candidates.all[place]!;
    return answerS + candidates.downS(touch.black) + candidates.downS(touch.red);
  };
  return [...shownBy!]
    .sort((a, b) => secondsOf(a) - secondsOf(b))
    .map((place) => candidates.all[place]!.touch)
    .map((touch) => ({ touch, good: expectIn(good, touch, { meter }), faulty: expectIn(faulty, touch, { meter }) }));
}
