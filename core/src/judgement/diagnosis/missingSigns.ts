/**
 * What it can mean that a part did not show its sign at power: likeliest first, and what is ruled out before anything
 * is
 * called dead. General bench practice.
 */
import type { Sign } from '../../facts/catalogue/partModel';
import type { Slot } from '../../facts/terms/names';

export interface ExpectedSign {
  slot: Slot;
  sign: Sign;
}

const causes: Readonly<Record<Sign['shows'], readonly string[]>> = {
  tone: [
    'one silent channel: a phase of its motor is open; feel which motor does not twitch',
    'every channel silent: the logic supply inside the ESC is shorted, or battery volts have reached a signal pin',
  ],
  light: [
    'no light: the supply does not reach the part, measure the rail at its plug',
    'no light: its plug is not home, or one position off',
  ],
  picture: [
    'no picture: camera in and video out are exchanged, or the video ground is open',
    'no picture: a digital unit that is not activated yet, or has no firmware',
  ],
  link: [
    'no link: it is not bound yet',
    'no link: transmit and receive are exchanged, or the inversion is the wrong one',
  ],
  warmth: ['not warm: it draws nothing, the supply does not reach it'],
};

/** A line each; empty when nothing is missing. */
export function meaningOfMissing(missing: readonly ExpectedSign[], expected: readonly ExpectedSign[]): string[] {
  if (missing.length === 0) return [];
  const kinds = [...new Set(missing.map(({ sign }) => sign.shows))];
  const nothing = missing.length === expected.length;
  return [
    nothing
      ? 'nothing showed at all: the limiter is switched off or has tripped, or the plug made no contact'
      : 'the limiter may have tripped before the others came: look at it before anything is called dead',
    ...kinds.flatMap((kind) => causes[kind]),
  ];
}

/** What heat, smell or smoke at first power means. */
export const meaningOfHeat: readonly string[] = [
  'a part is fed backwards, or by a rail that is too high: polarity and volts at its plug',
  'a bridge or a shorted transistor that the meter did not see: read its supply to ground again',
  'what warms first, felt with the back of a finger at the next short try, is the place',
];
