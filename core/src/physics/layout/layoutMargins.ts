/** Every margin of a layout, the worst first. */
import type { Slot } from '../../facts/terms/names';
import type { Laid } from './laid';
import type { Margin } from './margin';
import { worstFirst } from './margin';
import { aerialMargins } from './margins/aerials';
import { airMargins } from './margins/air';
import { apartMargins } from './margins/apart';
import { belowStackMargins } from './margins/belowStack';
import { betweenBoardsMargins } from './margins/betweenBoards';
import { bladeMargins } from './margins/blades';
import { cableMargins } from './margins/cables';
import { leadMargins } from './margins/leads';
import { lidMargins, ownLidMargins } from './margins/lid';
import { notPlacedMargins } from './margins/notPlaced';
import { plugRoomMargins } from './margins/plugRoom';
import { reachMargins } from './margins/reach';
import { roomMargins } from './margins/room';
import { sharedPlaceMargins } from './margins/sharedPlace';
import { threadMargins } from './margins/thread';

/** Margins that follow from one part's own pose. */
export function marginsOf(laid: Laid, slot: Slot): Margin[] {
  return [reachMargins, roomMargins, plugRoomMargins, ownLidMargins, bladeMargins, airMargins, aerialMargins].flatMap(
    (of) => of(laid, slot),
  );
}

export function layoutMargins(laid: Laid): Margin[] {
  const own = [...laid.poses.keys()].flatMap((slot) => marginsOf(laid, slot));
  const together = [
    threadMargins,
    belowStackMargins,
    betweenBoardsMargins,
    lidMargins,
    leadMargins,
    cableMargins,
    apartMargins,
    sharedPlaceMargins,
    notPlacedMargins,
  ];
  return worstFirst([...own, ...together.flatMap((of) => of(laid))]);
}
