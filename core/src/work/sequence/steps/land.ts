import { padWords, slotWords, wireWords } from '../../../facts/assembly/itemWords';
import { landedOn } from '../../../facts/assembly/build';
import { splitRef } from '../../../facts/terms/names';
import { jointS } from '../../../physics/joints/seconds';
import { changeStep } from '../changeStep';

/** One end of a wire goes to its pad. */
export const land = changeStep('land', {
  words: ({ about, subject }, { target }) => {
    const wire = target.build.wires[about.wire];
    const at = wire && landedOn(wire.ends[about.end]);
    if (!wire || !at) return `Land ${subject}`;
    const to = slotWords(splitRef(at).slot, target);
    return `Solder ${wireWords(wire, target)} to ${to}, pad ${padWords(at, target)}`;
  },
  why: ({ place }) =>
    place.stretch === 'power path'
      ? 'the big thermal mass comes first, before small parts are near'
      : 'one part at a time, so that a short has one place',
  takesS: ({ about }, { target }) => jointS(target.build.wires[about.wire]?.awg),
});
