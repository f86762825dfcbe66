/** Parts in their places: room, cheeks, holes, plugs. */
import { aircraft, board, box, frame, place, smallBoard, terminal } from './parts';
import type { Term, LayoutByHand } from './terms';
import { fc } from './terms';

const bay = (roomMm: readonly [number, number, number]) =>
  frame({ places: [place('bay', 'bay', { atMm: [0, -40, 6.5], roomMm })] });
const room = (says: string, parts: LayoutByHand['parts'], terms: readonly Term[]): LayoutByHand => ({
  says,
  margin: 'room',
  parts,
  terms,
});
export const rooms: LayoutByHand[] = [
  room(
    'across, of a unit whose sheet says how far it may be off',
    aircraft({
      FRAME: bay([32, 40, 20]),
      VTX: box('vtx-sheet', 'video unit', [30, 30, 12], { body: { tolMm: 1 } }),
    }),
    [
      ['bay across', 32, 0.1],
      ['unit', -30, 1],
    ],
  ),
  room('across', aircraft({ FRAME: bay([32, 40, 20]), VTX: box('vtx', 'video unit', [30, 30, 12]) }), [
    ['bay across', 32, 0.1],
    ['unit', -30, 0.3],
  ]),
  room('along', aircraft({ FRAME: bay([40, 29.5, 20]), VTX: box('vtx', 'video unit', [30, 30, 12]) }), [
    ['bay along', 29.5, 0.1],
    ['unit', -30, 0.3],
  ]),
  room('up', aircraft({ FRAME: bay([40, 40, 12.5]), VTX: box('vtx', 'video unit', [30, 30, 12]) }), [
    ['bay up', 12.5, 0.1],
    ['unit', -12, 0.3],
  ]),
  room(
    'a receiver without a box: copper, and what is above and below it',
    aircraft({
      FRAME: bay([40, 40, 6]),
      RX: box('rx', 'receiver', [18, 12, 4.6], {
        body: { boxMm: undefined, aboveMm: 2.4, belowMm: 0.6 },
        terminals: [terminal('5V', [0, 0])],
      }),
    }),
    [
      ['bay up', 6, 0.1],
      ['receiver', -(2.4 + 0.6 + 1.6), 0.3],
    ],
  ),
  room(
    'turned on its side it goes in: the shorter side across',
    aircraft({
      FRAME: frame({ places: [place('bay', 'bay', { atMm: [0, -40, 6.5], roomMm: [22, 32, 20], turns: [90] })] }),
      VTX: box('vtx', 'video unit', [30, 20, 12]),
    }),
    [
      ['bay across', 22, 0.1],
      ['unit', -20, 0.3],
    ],
  ),
];

const cheeksOf = (wide: number) =>
  frame({ places: [place('cheeks', 'cheeks', { atMm: [0, 50, 10], roomMm: [wide, 26, 30] })] });
export const cameras: LayoutByHand[] = [22, 19.4].map((wide): LayoutByHand => ({
  says: `a camera of 19 mm between cheeks of ${wide}`,
  margin: 'camera',
  parts: aircraft({ FRAME: cheeksOf(wide), CAM: box('cam', 'camera', [19, 19, 22]) }),
  terms: [
    ['washers fill', 4],
    ['cheeks', -wide],
    ['camera', 19],
  ],
}));

export const patterns: LayoutByHand[] = [
  {
    says: 'holes that are those of the stack',
    margin: 'hole pattern',
    parts: aircraft({ FRAME: frame(), FC: fc }),
    terms: [
      ['slot', 0.5],
      ['off', -0],
    ],
  },
  {
    says: 'holes of 20 mm on posts of 30.5',
    margin: 'hole pattern',
    parts: aircraft({ FRAME: frame(), FC: smallBoard('fc-20') }),
    terms: [
      ['slot', 0.5],
      ['off', -10.5],
    ],
  },
];

const plugged = (xMm: number, exitDeg: number, sheet: { roomMm?: number } = {}) =>
  aircraft(
    {
      FRAME: frame(),
      FC: board(`fc-plug-${xMm}-${exitDeg}-${sheet.roomMm}`, 'controller', {
        terminals: [terminal('J1.1', [xMm, 2], { form: 'pin' }), terminal('J1.2', [xMm, -2], { form: 'pin' })],
        connectors: [
          {
            id: 'J1',
            family: 'wire plug',
            pitchMm: 1,
            pins: ['J1.1', 'J1.2'],
            key: 'a',
            exitDeg,
            ampsPerPin: 1,
            ...sheet,
          },
        ],
      }),
    },
    {
      housings: { H: { id: 'H', family: 'wire plug', pitchMm: 1, ways: 2, key: 'a' } },
      mates: {
        J: { a: { slot: 'FC', connector: 'J1' }, b: { housing: 'H' }, shift: 0, mirrored: false, glued: false },
      },
    },
  );
export const plugs: LayoutByHand[] = [
  {
    says: 'a plug whose sheet says how far it reaches',
    margin: 'plug room',
    parts: plugged(16, 0, { roomMm: 12.5 }),
    terms: [
      ['half the room', 30, 0.1],
      ['pins from the middle', -16],
      ['plug and bend', -12.5, 0.3],
    ],
  },
  {
    says: 'a plug at the right edge, its wires to the right',
    margin: 'plug room',
    parts: plugged(16, 0),
    terms: [
      ['half the room', 30, 0.1],
      ['pins from the middle', -16],
      ['plug and bend', -9, 0.3],
    ],
  },
  {
    says: 'a plug in the middle, its wires to the left',
    margin: 'plug room',
    parts: plugged(2, 180),
    terms: [
      ['half the room', 30, 0.1],
      ['pins beyond the middle', 2],
      ['plug and bend', -9, 0.3],
    ],
  },
];
