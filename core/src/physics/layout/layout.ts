/** The layout of a plan: every part in its place, the margins, the length of its harness. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Lay } from './bestLay';
import { bestLay } from './bestLay';
import { harnessMm } from './harness';
import type { Laid } from './laid';
import { laidOut } from './laid';
import { layoutMargins } from './layoutMargins';
import type { Measured } from './measured';
import type { Margin } from './margin';

export interface Layout {
  laid: Laid;
  margins: readonly Margin[];
  harnessMm: number;
}

/** @returns null where the plan has no frame. */
export function layoutOf(
  assembly: Assembly,
  proposed: Lay['poses'] = bestLay(assembly).poses,
  measured?: Measured,
): Layout | null {
  const laid = laidOut(assembly, proposed, measured);
  return laid && { laid, margins: layoutMargins(laid), harnessMm: harnessMm(laid) };
}
