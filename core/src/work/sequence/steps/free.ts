import { terminalWords, wireWords } from '../../../facts/assembly/itemWords';
import { landedOn } from '../../../facts/assembly/build';
import { seconds } from '../../../physics/joints/seconds';
import { asItWas } from '../asItWas';
import { changeStep } from '../changeStep';

/** One end of a wire comes off its pad. */
export const free = changeStep('free', {
  words: ({ about, subject }, stages) => {
    const was = asItWas(stages, 'wires', about.wire);
    const wire = was.build.wires[about.wire];
    const at = wire && landedOn(wire.ends[about.end]);
    return at ? `Take ${wireWords(wire, was)} off ${terminalWords(at, was)}` : `Take ${subject} off`;
  },
  why: () => 'it is not where the plan wants it',
  takesS: () => seconds.free,
});
