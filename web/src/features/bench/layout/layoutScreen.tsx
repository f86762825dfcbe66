/** What every screen of the layout shows alike: the step that signs it on the cord, and the stack from the side. */
import type { Laid, Slot } from '@junctor/core';
import type { Bench } from '../../../bench/provider/bench';
import { LaidFromTheSide } from '../../../drawing/LaidFromTheSide';
import type { Hand } from '../../../ui/Frame';

/** The step in which it is signed; of work that has begun without it there is none. */
export function layStep({ state }: Bench) {
  return state.steps.find(({ verb }) => verb === 'lay');
}

export function layoutScreen(bench: Bench) {
  return { place: 'Layout', shown: layStep(bench) ?? bench.state.current };
}

export function sideHand(laid: Laid, held: readonly Slot[], more = ''): Hand {
  return {
    title: 'from the left side',
    note: `to scale, soft mounts squeezed${more}`,
    body: <LaidFromTheSide laid={laid} held={held} />,
  };
}
