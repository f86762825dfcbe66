/** Cables of one length, and aerials on them. */
import { aircraft, box, frame, mated, place, socket, terminal } from './parts';
import type { LayoutByHand } from './terms';

const cableOf = (lengthMm: number, connectors: readonly string[] = ['J']) => ({
  lengthMm,
  acrossMm: 1.4,
  leastBendMm: 20,
  connectors,
});
const oneSocket = (atMm: readonly [number, number]) => ({
  terminals: [terminal('P', atMm)],
  connectors: [socket('J', 'P')],
});
const bare = place('stack', 'stack');
const between = frame({
  places: [
    bare,
    place('cheeks', 'cheeks', { atMm: [0, 60, 10], entry: 'front', madeFor: ['camera'] }),
    place('rear bay', 'bay', { atMm: [0, -45, 8], entry: 'rear' }),
  ],
});
const unit = box('vtx', 'video unit', [30, 30, 12], oneSocket([0, 10]));
// From (0, 52, 10) to the point `centre` at (0, 0, 8), on to (0, -35, 8).
const along: readonly [string, number, number] = ['run', -Math.sqrt(52 ** 2 + 2 ** 2) - 35, 0.3];

export const cables: LayoutByHand[] = [
  {
    says: 'a camera on its own coax, the unit in the rear bay: 20 mm short',
    margin: 'lead',
    parts: aircraft(
      {
        FRAME: between,
        VTX: unit,
        CAM: box('cam', 'camera', [19, 19, 20], { ...oneSocket([0, -8]), cable: cableOf(69) }),
      },
      { mates: { CJ: mated('CAM.J', 'VTX.J') } },
    ),
    terms: [['coax', 69, 3], along, ['one plug', -2]],
  },
  {
    says: 'a cable with two plugs between the same sockets',
    margin: 'lead',
    parts: aircraft(
      {
        FRAME: between,
        VTX: unit,
        CAM: box('cam-s', 'camera', [19, 19, 20], oneSocket([0, -8])),
        CBL: box('cable', 'cable', [10, 4, 2], {
          terminals: [terminal('A', [-3, 0]), terminal('B', [3, 0])],
          connectors: [socket('A', 'A'), socket('B', 'B')],
          cable: cableOf(95, ['A', 'B']),
        }),
      },
      { mates: { AJ: mated('CAM.J', 'CBL.A'), BJ: mated('CBL.B', 'VTX.J') } },
    ),
    terms: [['cable', 95, 3], along, ['two plugs', -4]],
  },
  {
    says: 'round a corner of 45 degrees, 10 mm before its end',
    margin: 'bend',
    parts: aircraft(
      {
        FRAME: frame({
          places: [
            bare,
            place('front deck', 'cheeks', { atMm: [0, 30, 8], entry: 'centre', madeFor: ['camera'] }),
            place('side deck', 'bay', { atMm: [40, 0, 8], entry: 'side' }),
          ],
          route: { points: { centre: [0, 0, 8], side: [30, 0, 8] }, edges: [['centre', 'side']] },
        }),
        VTX: box('vtx-mid', 'video unit', [20, 20, 12], oneSocket([0, 0])),
        CAM: box('cam-mid', 'camera', [19, 19, 20], { ...oneSocket([0, 0]), cable: cableOf(120) }),
      },
      { mates: { CJ: mated('CAM.J', 'VTX.J') } },
    ),
    // The leg of 10 mm is all that the arc has: r tan(22.5 degrees) = 10.
    terms: [
      ['radius', 10 / Math.tan(Math.PI / 8), 0.3],
      ['least', -20],
    ],
  },
];

const holed = frame({
  places: [bare, place('rear bay', 'bay', { atMm: [0, -45, 8], entry: 'rear' })],
  ways: [{ id: 'aerial hole', passes: 'aerial', atMm: [0, -80, 20], sizeMm: [8, 8], facing: [0, -1, 0] }],
});
const hanging = aircraft(
  {
    FRAME: holed,
    VTX: box('vtx-aerial', 'video unit', [30, 30, 12], oneSocket([0, -15])),
    ANT: box('ant', 'antenna', [16, 16, 6], { ...oneSocket([0, 0]), cable: cableOf(80) }),
  },
  { mates: { AJ: mated('VTX.J', 'ANT.J') } },
);
export const aerials: LayoutByHand[] = [
  {
    says: 'straight out of the hole beside its bay',
    margin: 'lead',
    parts: hanging,
    terms: [
      ['coax', 80, 3],
      ['run', -Math.sqrt(20 ** 2 + 12 ** 2), 0.3],
      ['one plug', -2],
    ],
  },
  {
    says: 'its end, 16 mm beyond the hole, beside the blades',
    margin: 'blades',
    of: ['ANT beside the blades'],
    parts: hanging,
    terms: [
      ['from the motor', Math.sqrt(120 ** 2 + 24 ** 2), 0.3],
      ['blade', -102],
      ['kept clear', -10],
    ],
  },
];
