import { contactWords, crimpWords, wireWords } from '../../../facts/assembly/itemWords';
import { wasTerminalWords } from '../../../facts/assembly/wasWords';
import { seconds } from '../../../physics/joints/seconds';
import { asItWas } from '../asItWas';
import { changeStep } from '../changeStep';
import { lookUp } from '../../../facts/terms/lookUp';

/** One end of a wire comes off its pad, or its contact out of a plug. */
export const free = changeStep('free', {
  words: ({ about }, stages) => {
    const was = asItWas(stages, 'wires', about.wire);
    const wire = lookUp(was.build.wires, about.wire);
    if (!wire) return 'Take a wire off that the plan does not have';
    const { at } = wire.ends[about.end];
    if (at.on === 'cavity') return `Draw ${crimpWords(wire, was)} out of ${contactWords(at.housing, at.position, was)}`;
    return at.on === 'terminal'
      ? `Take ${wireWords(wire, was)} off ${wasTerminalWords(at.ref, stages)}`
      : `Take ${wireWords(wire, was)} off`;
  },
  why: () => 'it is not where the plan wants it',
  takesS: () => seconds.free,
});
