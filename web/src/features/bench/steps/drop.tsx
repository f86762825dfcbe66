import type { StepOf } from '@junctor/core';
import { cavityOrderWords, jointName, landedOn } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { asBuiltBench } from '../../../bench/hands/hands';
import { jointHands } from '../../../bench/hands/jointHands';
import { PictureBefore } from '../PictureBefore';
import { effectOf, plainStep } from './plainStep';

/** A wire of the old wiring comes off, shown where it still sits. */
export const drop = plainStep<StepOf<'drop'>>({
  hands: (bench, { subject }) => {
    const { ends } = bench.state.asBuilt.build.wires[subject] ?? { ends: [] };
    const end = ends.findLastIndex((wireEnd) => landedOn(wireEnd) !== null);
    return end < 0 ? checklistHands(bench) : jointHands(asBuiltBench(bench), jointName(subject, end as 0 | 1));
  },
  hint: ({ subject }, { state }) => {
    const ends = state.asBuilt.build.wires[subject]?.ends ?? [];
    const housed = ends.some(({ at }) => at.on === 'cavity');
    return housed
      ? `Lift the tongue of each contact with a blade, draw it out. ${cavityOrderWords}.`
      : 'Fresh solder, light touch, gentle pull: a pad that is tugged cold lifts. Then wick the pads clean.';
  },
  done: () => 'It is off',
  recorded: effectOf,
  crossing: () => <PictureBefore slots={[]} />,
});
