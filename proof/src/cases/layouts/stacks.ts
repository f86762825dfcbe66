/** Boards over each other, and what is under the lid. */
import type { PartModel } from '@junctor/core';
import { aircraft, board, box, frame, place, terminal } from './parts';
import type { Term, LayoutByHand } from './terms';
import { mount, copper, plus, settles, under, fc, esc, softer } from './terms';

const between = (says: string, lower: PartModel, upper: PartModel, terms: readonly Term[]): LayoutByHand => ({
  says,
  margin: 'between boards',
  parts: aircraft({ FRAME: frame(), ESC: lower, FC: upper }),
  terms,
});
const onTop = (mm: number, atMm: readonly [number, number] = [0, 0], what: 'parts' | 'usb' = 'parts') =>
  ({ side: 'top', atMm, sizeMm: [8, 8], mm, what }) as const;
const hanging = (mm: number, atMm: readonly [number, number] = [0, 0]) =>
  ({ side: 'bottom', atMm, sizeMm: [8, 8], mm, what: 'parts' }) as const;
const boxed = (kind: 'esc' | 'controller', ...heightsMm: NonNullable<PartModel['body']['heightsMm']>) =>
  board(`${kind}-${JSON.stringify(heightsMm).length}-${heightsMm[0]?.mm ?? 0}`, kind, { body: { heightsMm } });
const free: Term = ['kept free', -0.5];
export const betweens: LayoutByHand[] = [
  between('boards that are as high everywhere', board('esc-flat', 'esc', { body: { aboveMm: 1.5 } }), fc, [
    plus(mount),
    ['above the lower', -1.5, 0.15],
    ['below the upper', -2],
    free,
  ]),
  between('boxes that press on each other', boxed('esc', onTop(3)), boxed('controller', hanging(2)), [
    plus(mount),
    ['above the lower', -3, 0.15],
    ['below the upper', -2],
    free,
  ]),
  between('boxes over each other', boxed('esc', onTop(2.1)), boxed('controller', hanging(1.3)), [
    plus(mount),
    ['above the lower', -2.1, 0.15],
    ['below the upper', -1.3],
    free,
  ]),
  between(
    'boxes beside each other: the lower ones under the copper of the upper are no pair',
    boxed('esc', onTop(3.1, [12, 0]), onTop(1, [-12, 0])),
    boxed('controller', hanging(1.2, [-12, 0]), hanging(0.6, [12, 12])),
    [plus(mount), ['above the lower', -1, 0.15], ['below the upper', -1.2], free],
  ),
  between(
    'a USB shell under a live pad',
    boxed('esc', onTop(3.2, [-12, 0], 'usb')),
    board('fc-pads', 'controller', {
      terminals: [terminal('TX', [-12, 0], { sides: ['bottom'] })],
      body: { heightsMm: [] },
    }),
    [plus(mount), ['shell', -3.2, 0.15], ['solder', -0.5], ['metal to live pad', -2]],
  ),
  between(
    'a higher mount between them',
    esc,
    board('fc-high', 'controller', { body: { mount: { ...softer, squeezedMm: 6.4 } } }),
    [['its mount', 6.4, 0.5], ['above the lower', -3, 0.15], ['below the upper', -2], free],
  ),
];

export const lids: LayoutByHand[] = [
  {
    says: 'what stands on the top board',
    margin: 'lid',
    of: ['what stands on FC under the lid'],
    parts: aircraft({ FRAME: frame(), FC: fc }),
    terms: [under, mount, copper, ['above the board', -3, 0.15], settles],
  },
  {
    says: 'two boards',
    margin: 'lid',
    of: ['what stands on FC under the lid'],
    parts: aircraft({ FRAME: frame(), ESC: esc, FC: fc }),
    terms: [under, mount, copper, mount, copper, ['above the board', -3, 0.15], settles],
  },
  {
    says: 'long screws reach the lid first',
    margin: 'lid',
    of: ['the stack screws’ tips under the lid'],
    parts: aircraft({ FRAME: frame({ posts: [{ atMm: [0, 0], lengthMm: 35, thread: 'M3' }] }), FC: fc }),
    terms: [under, ['screw over the plates', -(35 - 6.5), 0.3], settles],
  },
  {
    says: 'a unit in the bay',
    margin: 'lid',
    of: ['VTX under the lid'],
    parts: aircraft({
      FRAME: frame({ places: [place('bay', 'bay', { atMm: [0, -40, 6.5] })] }),
      VTX: box('vtx', 'video unit', [30, 30, 12]),
    }),
    terms: [under, ['unit', -12, 0.3], settles],
  },
];
