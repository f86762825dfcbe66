import { contactWords, crimpWords, wireWords } from '../../../facts/assembly/itemWords';
import { padWords } from '../../../facts/assembly/padWords';
import { slotWords } from '../../../facts/assembly/slotWords';
import { splitRef } from '../../../facts/terms/names';
import { jointS } from '../../../physics/joints/seconds';
import { changeStep } from '../changeStep';
import { lookUp } from '../../../facts/terms/lookUp';

/** One end of a wire goes to its pad, or its contact into a plug. */
export const land = changeStep('land', {
  words: ({ about }, { target }) => {
    const wire = lookUp(target.build.wires, about.wire);
    if (!wire) return 'Land a wire that the plan does not have any more';
    const { at } = wire.ends[about.end];
    if (at.on === 'cavity')
      return `Push ${crimpWords(wire, target)} into ${contactWords(at.housing, at.position, target)}`;
    if (at.on === 'air') return `Leave ${wireWords(wire, target)} in the air`;
    const to = slotWords(splitRef(at.ref).slot, target);
    return `Solder ${wireWords(wire, target)} to ${to}, pad ${padWords(at.ref, target)}`;
  },
  why: ({ place }) =>
    place.stretch === 'power path'
      ? 'the big thermal mass comes first, before small parts are near'
      : 'one part at a time, so that a short has one place',
  takesS: ({ about }, { target }) => jointS(lookUp(target.build.wires, about.wire)?.awg),
});
