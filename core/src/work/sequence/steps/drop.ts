import { contactWords, wireWords } from '../../../facts/assembly/itemWords';
import { wasTerminalWords } from '../../../facts/assembly/wasWords';
import { asItWas } from '../asItWas';
import { changeStep, inThisOrder } from '../changeStep';

/** A wire comes out whole. */
export const drop = changeStep('drop', {
  words: ({ about }, stages) => {
    const was = asItWas(stages, 'wires', about.wire);
    const wire = was.build.wires[about.wire];
    if (!wire) return 'Take a wire out that the plan does not have';
    const from = wire.ends.flatMap(({ at }) => {
      if (at.on === 'terminal') return [`off ${wasTerminalWords(at.ref, stages)}`];
      return at.on === 'cavity' ? [`out of ${contactWords(at.housing, at.position, was)}`] : [];
    });
    const words = wireWords(wire, was);
    return from.length > 0 ? `Take ${words} ${from.join(', and ')}` : `Take ${words} out`;
  },
  why: () => inThisOrder,
  takesS: () => 5,
});
