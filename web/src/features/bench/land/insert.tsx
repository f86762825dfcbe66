/** A contact that goes into a plug which is open on the bench: which cavity, which way round. */
import type { StepOf } from '@junctor/core';
import { cavityOrderWords, socketOf } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { plugHands } from '../../../bench/hands/plugHands';
import type { Bench } from '../../../bench/provider/bench';
import { effectOf, plainStep } from '../steps/plainStep';
import { Minding } from './Minding';

type LandStep = StepOf<'land'>;

export const insert = plainStep<LandStep>({
  hands: (bench, step) => {
    const at = landing(step, bench);
    const socket = at?.on === 'cavity' ? socketOf(at.housing, bench.state.target) : null;
    return socket ? plugHands(bench, socket.slot, socket.connector, step.about.wire) : checklistHands(bench);
  },
  hint: () => `Latch of the contact to the window, until it clicks; tug to prove it. ${cavityOrderWords}.`,
  done: (step, bench) => {
    const at = landing(step, bench);
    return `It clicked: cavity ${at?.on === 'cavity' ? at.position : ''}`;
  },
  recorded: effectOf,
  crossing: ({ about }, bench) => <Minding wire={about.wire} bench={bench} />,
});

function landing({ about }: LandStep, { state }: Bench) {
  return state.target.build.wires[about.wire]?.ends[about.end].at;
}
