/** What is reached from outside, leads that came with a part, blades. */
import { aircraft, board, box, frame, place, terminal } from './parts';
import type { LayoutByHand } from './terms';

const usb = (atMm: readonly [number, number], faceDeg: number) =>
  board(`fc-usb-${atMm.join('-')}-${faceDeg}`, 'controller', {
    body: { openings: [{ what: 'usb', nodes: [], atMm, faceDeg }] },
  });
export const reaches: LayoutByHand[] = [
  {
    says: 'USB in the middle of its window: its height decides',
    margin: 'reach',
    parts: aircraft({ FRAME: frame(), FC: usb([-17, 0], 180) }),
    // Board at 6.5 + 4.8, the socket 3.2 over its underside: 7 under the middle of the window.
    terms: [
      ['half the window', 12, 0.1],
      ['off its middle', -7],
      ['half the plug', -3.3, 0.3],
    ],
  },
  {
    says: 'USB far forward in its window',
    margin: 'reach',
    parts: aircraft({ FRAME: frame(), FC: usb([-17, 14], 180) }),
    terms: [
      ['half the window', 18, 0.1],
      ['off its middle', -14],
      ['half the plug', -5.5, 0.3],
    ],
  },
  {
    says: 'USB to the rear, where there is no opening',
    margin: 'reach',
    parts: aircraft({ FRAME: frame(), FC: usb([0, -17], 270) }),
    terms: [['a plug’s width', -11, 0.3]],
  },
];

const above = (sizeMm: readonly [number, number]) =>
  frame({ ways: [{ id: 'above', passes: 'button', atMm: [0, 0, 38], sizeMm, facing: [0, 0, 1] }] });
export const buttons: LayoutByHand[] = [
  {
    says: 'a button under its hole in the lid',
    margin: 'reach',
    parts: aircraft({
      FRAME: above([10, 10]),
      FC: board('fc-button', 'controller', {
        body: { openings: [{ what: 'button', nodes: [], atMm: [3, 2], faceDeg: 'up' }] },
      }),
    }),
    terms: [
      ['half the hole', 5, 0.1],
      ['off its middle', -3],
      ['half a stick', -1.5, 0.3],
    ],
  },
  {
    says: 'an aerial nut in its hole in the rear',
    margin: 'reach',
    parts: aircraft({
      FRAME: frame({
        places: [place('stack', 'stack'), place('rear bay', 'bay', { atMm: [0, -60, 6.5] })],
        ways: [{ id: 'nut hole', passes: 'aerial', atMm: [0, -80, 10.2], sizeMm: [12, 11], facing: [0, -1, 0] }],
      }),
      VTX: box('vtx-nut', 'video unit', [30, 30, 12], {
        body: { openings: [{ what: 'aerial', nodes: [], atMm: [0, -15], faceDeg: 270 }] },
      }),
    }),
    // Its middle at 6.5 + 3.2, half a millimetre under the hole's.
    terms: [
      ['half the hole', 5.5, 0.1],
      ['off its middle', -0.5],
      ['half the nut', -4.5, 0.3],
    ],
  },
];

const lead = (lengthMm: number) => ({
  L: {
    id: 'L',
    awg: 26,
    colour: 'red',
    insulation: 'silicone',
    from: 'tail' as const,
    tailOf: 'BZ.PLUS' as const,
    lengthMm,
    via: [],
    ends: [
      { at: { on: 'terminal', ref: 'BZ.PLUS' }, by: 'factory' },
      { at: { on: 'terminal', ref: 'FC.BZ' }, by: 'solder' },
    ] as const,
  },
});
const buzzer = box('bz', 'buzzer', [10, 10, 5], { terminals: [terminal('PLUS', [0, 5], { form: 'tail' })] });
const withPad = board('fc-bz', 'controller', { terminals: [terminal('BZ', [0, -16])] });
const rear = place('rear deck', 'surface', { atMm: [0, -45, 8], entry: 'rear' });
export const leads: LayoutByHand[] = [40, 30].map((lengthMm): LayoutByHand => ({
  says: `a lead of ${lengthMm} mm along the middle`,
  margin: 'lead',
  parts: aircraft(
    { FRAME: frame({ places: [place('stack', 'stack'), rear] }), FC: withPad, BZ: buzzer },
    { wires: lead(lengthMm) },
  ),
  // From its end at (0, -40, 8), which is the point `rear`, straight to the pad at (0, -16, 11.3).
  terms: [
    ['lead', lengthMm, 3],
    ['run', -Math.sqrt(24 ** 2 + 3.3 ** 2), 0.3],
    ['soldered end', -4],
  ],
}));

const turned = box('bz-away', 'buzzer', [10, 10, 5], {
  terminals: [terminal('PLUS', [0, 5], { form: 'tail' })],
  tails: [{ terminal: 'PLUS', awg: 26, colour: 'red', insulation: 'silicone', lengthMm: 40, exitDeg: 180 }],
});
/** A lead that leaves to the left and goes ahead. */
leads.push({
  says: 'a lead that leaves square to its way and turns into it',
  margin: 'lead',
  parts: aircraft(
    { FRAME: frame({ places: [place('stack', 'stack'), rear] }), FC: withPad, BZ: turned },
    { wires: lead(40) },
  ),
  // A quarter turn on one and a half diameters of 1.3 mm: 0.405 mm of copper, and its silicone.
  terms: [
    ['lead', 40, 3],
    ['quarter turn', (-Math.PI / 2) * 1.5 * (0.3 + 2.05 * 0.405)],
    ['run', -Math.sqrt(24 ** 2 + 3.3 ** 2), 0.3],
    ['soldered end', -4],
  ],
});

export const blades: LayoutByHand[] = [
  {
    says: 'the blades of a corner, seen from above',
    margin: 'blades',
    parts: aircraft({
      FRAME: frame({ places: [place('bay', 'bay', { atMm: [0, 60, 6.5] })] }),
      VTX: box('vtx', 'video unit', [40, 20, 12]),
    }),
    // Its corner at (20, 70), the motor at (120, 120).
    terms: [
      ['from the motor', Math.sqrt(100 ** 2 + 50 ** 2), 0.3],
      ['blade', -102],
      ['kept clear', -3],
    ],
  },
  {
    says: 'a battery lead keeps farther away: it moves',
    margin: 'blades',
    parts: aircraft({
      FRAME: frame({ places: [place('tail', 'surface', { atMm: [0, -70, 2.5] })] }),
      BAT: box('bat', 'battery lead', [16, 15, 8]),
    }),
    terms: [
      ['from the motor', Math.sqrt(112 ** 2 + 42.5 ** 2), 0.3],
      ['blade', -102],
      ['kept clear', -10],
    ],
  },
];
