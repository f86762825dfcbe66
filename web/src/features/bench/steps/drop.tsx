import type { StepOf } from '@junctor/core';
import { capital, contactWords, jointName, landedOn, socketOf } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { plugHands } from '../../../bench/hands/plugHands';
import { asBuiltBench, startBench } from '../../../bench/hands/hands';
import { jointHands } from '../../../bench/hands/jointHands';
import { PictureBefore } from '../PictureBefore';
import { effectOf, plainStep } from './plainStep';

/** A wire of the old wiring comes off, shown where it still sits. */
export const drop = plainStep<StepOf<'drop'>>({
  hands: (bench, { subject }) => {
    const { ends } = bench.state.asBuilt.build.wires[subject] ?? { ends: [] };
    const end = ends.findLastIndex((wireEnd) => landedOn(wireEnd) !== null);
    if (end >= 0) return jointHands(asBuiltBench(bench), jointName(subject, end as 0 | 1));
    const cavity = ends.map(({ at }) => at).find((at) => at.on === 'cavity');
    const socket = cavity?.on === 'cavity' ? socketOf(cavity.housing, bench.state.start) : null;
    return socket ? plugHands(startBench(bench), socket.slot, socket.connector, subject) : checklistHands(bench);
  },
  hint: ({ subject }, { state }) => {
    const ends = state.asBuilt.build.wires[subject]?.ends ?? [];
    const housed = ends.flatMap(({ at }) =>
      at.on === 'cavity' ? [contactWords(at.housing, at.position, state.start)] : [],
    );
    return housed.length > 0
      ? `${capital(housed.join('; '))}: blade under the tongue. From the left, mating face to you, latch up.`
      : 'Fresh solder, light touch, gentle pull: a pad that is tugged cold lifts. Then wick the pads clean.';
  },
  done: () => 'It is off',
  recorded: effectOf,
  crossing: () => <PictureBefore slots={[]} />,
});
