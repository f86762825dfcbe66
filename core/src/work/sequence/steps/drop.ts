import { terminalWords, wireWords } from '../../../facts/assembly/itemWords';
import { landedOn } from '../../../facts/assembly/build';
import { asItWas } from '../asItWas';
import { changeStep, inThisOrder } from '../changeStep';

/** A wire comes out whole. */
export const drop = changeStep('drop', {
  words: ({ about }, stages) => {
    const was = asItWas(stages, 'wires', about.wire);
    const wire = was.build.wires[about.wire];
    const at = wire?.ends.flatMap((end) => landedOn(end) ?? []) ?? [];
    if (!wire || at.length === 0) return `Take wire ${about.wire} out`;
    return `Take ${wireWords(wire, was)} out, off ${at.map((ref) => terminalWords(ref, was)).join(' and ')}`;
  },
  why: () => inThisOrder,
  takesS: () => 5,
});
