import { wireWords } from '../../../facts/assembly/itemWords';
import { wasTerminalWords } from '../../../facts/assembly/wasWords';
import { pushedHomeWords } from '../../../facts/assembly/plugWords';
import { asItWas } from '../asItWas';
import { changeStep, inThisOrder } from '../changeStep';
import { lookUp } from '../../../facts/terms/lookUp';

/** A wire comes out whole; which cavities is said under the sentence. */
export const drop = changeStep('drop', {
  words: ({ about }, stages) => {
    const was = asItWas(stages, 'wires', about.wire);
    const wire = lookUp(was.build.wires, about.wire);
    if (!wire) return 'Take a wire out that the plan does not have';
    const from = wire.ends.flatMap(({ at }) => {
      if (at.on === 'terminal') return [`off ${wasTerminalWords(at.ref, stages)}`];
      return at.on === 'cavity' ? [`out of ${pushedHomeWords(at.housing, was)}`] : [];
    });
    const words = wireWords(wire, was);
    return from.length > 0 ? `Take ${words} ${from.join(', and ')}` : `Take ${words} out`;
  },
  why: () => inThisOrder,
  takesS: () => 5,
});
