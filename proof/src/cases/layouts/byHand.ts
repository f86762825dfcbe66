/**
 * Layouts reckoned by hand: for one margin of each its arithmetic, a length a term with its tolerance, counted plus
 * where it is there and minus where it is needed.
 */
import { aparts } from './apart';
import { aerials, cables } from './cables';
import { blades, buttons, leads, reaches } from './outside';
import { cameras, patterns, plugs, rooms } from './rooms';
import { gaps, threads } from './screws';
import { betweens, lids } from './stacks';
import type { LayoutByHand } from './terms';

export const layoutsByHand: readonly LayoutByHand[] = [
  ...threads,
  ...gaps,
  ...betweens,
  ...lids,
  ...rooms,
  ...cameras,
  ...reaches,
  ...leads,
  ...blades,
  ...patterns,
  ...plugs,
  ...buttons,
  ...cables,
  ...aerials,
  ...aparts,
];
