/** Stack screws, and what hangs lowest over the plate. */
import type { Stack } from '@junctor/core';
import { aircraft, board, frame, place, smallBoard } from './parts';
import type { Term, LayoutByHand } from './terms';
import { turn, bottom, arms, mount, copper, nut, plus, fc, esc, softer } from './terms';

const thread = (says: string, parts: LayoutByHand['parts'], terms: readonly Term[]): LayoutByHand => ({
  says,
  margin: 'thread',
  parts,
  terms,
});

const withStack = (stack: Stack) => aircraft({ FRAME: frame(), FC: fc }, { stack });
const alone = { grommet: 'soft mount', freeMm: 6, squeezedMm: 4.8 } as const;
const top = { nut: 'nut', mm: 2.4 } as const;

export const threads: LayoutByHand[] = [
  thread('one board on the frame’s own screws', aircraft({ FRAME: frame(), FC: fc }), [
    ['screw', 22, 0.3],
    bottom,
    arms,
    mount,
    copper,
    nut,
    turn,
  ]),
  thread('two boards: the screws are too short', aircraft({ FRAME: frame(), ESC: esc, FC: fc }), [
    ['screw', 22, 0.3],
    bottom,
    arms,
    mount,
    copper,
    mount,
    copper,
    nut,
    turn,
  ]),
  thread(
    'two boards, longer screws',
    aircraft({ FRAME: frame({ posts: [{ atMm: [0, 0], lengthMm: 25, thread: 'M3' }] }), ESC: esc, FC: fc }),
    [['screw', 25, 0.3], bottom, arms, mount, copper, mount, copper, nut, turn],
  ),
  thread(
    'a board that says how high its mounts are',
    aircraft({ FRAME: frame(), FC: board('fc-7', 'controller', { body: { mount: softer } }) }),
    [['screw', 22, 0.3], bottom, arms, ['its mount', -5.6, 0.5], copper, nut, turn],
  ),
  thread(
    'washers said by hand',
    withStack({
      screw: { thread: 'M3', lengthMm: 20 },
      layers: [{ washer: 'washer', mm: 2 }, alone, { slot: 'FC' }, top],
    }),
    [['screw', 20, 0.3], bottom, arms, ['washer', -2, 0.1], mount, copper, nut, turn],
  ),
  thread(
    'a lower nut that locks the stack',
    withStack({ screw: { thread: 'M3', lengthMm: 22 }, layers: [top, alone, { slot: 'FC' }, top] }),
    [['screw', 22, 0.3], bottom, arms, nut, mount, copper, nut, turn],
  ),
  thread(
    'small screws',
    aircraft({
      FRAME: frame({
        posts: [{ atMm: [0, 0], lengthMm: 16, thread: 'M2' }],
        places: [place('stack', 'stack', { holes: { patternMm: [20, 20], thread: 'M2' } })],
      }),
      FC: smallBoard('fc-20'),
    }),
    [['screw', 16, 0.3], bottom, arms, ['soft mount', -4, 0.5], copper, ['nut', -1.6, 0.1], ['one turn', -0.4]],
  ),
  thread(
    'one plate only',
    aircraft({
      FRAME: frame({
        plates: [
          {
            id: 'bottom',
            zMm: 0,
            thicknessMm: 3,
            outlineMm: [
              [-30, -30],
              [30, -30],
              [0, 30],
            ],
            contact: 'resin',
          },
        ],
        lid: undefined,
        places: [place('stack', 'stack', { atMm: [0, 0, 3] })],
      }),
      FC: fc,
    }),
    [['screw', 22, 0.3], ['plate', -3, 0.1], mount, copper, nut, turn],
  ),
];

const below = (says: string, parts: LayoutByHand['parts'], terms: readonly Term[]): LayoutByHand => ({
  says,
  margin: 'gap below',
  parts,
  terms,
});
const clear: Term = ['kept clear of carbon', -2];
export const gaps: LayoutByHand[] = [
  below('a board on soft mounts', aircraft({ FRAME: frame(), FC: fc }), [
    plus(mount),
    ['hangs below', -2, 0.15],
    clear,
  ]),
  below(
    'what hangs lowest counts, where the board says more',
    aircraft({
      FRAME: frame(),
      FC: board('fc-tall', 'controller', {
        body: {
          heightsMm: [
            { side: 'bottom', atMm: [0, 0], sizeMm: [36, 36], mm: 0.5, what: 'parts' },
            { side: 'bottom', atMm: [5, 5], sizeMm: [6, 6], mm: 2.4, what: 'coil' },
          ],
        },
      }),
    }),
    [plus(mount), ['the coil', -2.4, 0.15], clear],
  ),
  below(
    'washers under the stack',
    withStack({
      screw: { thread: 'M3', lengthMm: 25 },
      layers: [{ washer: 'washer', mm: 2 }, alone, { slot: 'FC' }, top],
    }),
    [plus(mount), ['washer', 2, 0.1], ['hangs below', -2, 0.15], clear],
  ),
  below(
    'tape on the plate: it may come near, not press',
    withStack({
      screw: { thread: 'M3', lengthMm: 22 },
      layers: [{ tape: 'tape', mm: 0.2 }, alone, { slot: 'FC' }, top],
    }),
    [plus(mount), ['tape', 0.2, 0.1], ['hangs below', -2, 0.15], ['kept over tape', -0.5]],
  ),
  below(
    'the lower of two boards',
    aircraft({ FRAME: frame(), ESC: board('esc-low', 'esc', { body: { belowMm: 1.1 } }), FC: fc }),
    [plus(mount), ['hangs below', -1.1, 0.15], clear],
  ),
];
