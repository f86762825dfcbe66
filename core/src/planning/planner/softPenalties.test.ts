import { expect, it } from 'vitest';
import { penaltyWords, addedPenalties } from './softPenalties';

const none = { doubled: 0, 'over plan': 0, apart: 0, split: 0, nominal: 0, 'listened to': 0 };

it('says each kind once, the heaviest first, one and many', () => {
  expect(penaltyWords(none)).toEqual([]);
  expect(penaltyWords({ ...none, doubled: 2, 'over plan': 1, nominal: 1 })).toEqual([
    '1 rail over three quarters of its limit',
    '1 supply that fits only by its print',
    '2 doubled pads',
  ]);
});

it('counts what there is more of, and nothing for what there is less of', () => {
  expect(addedPenalties({ ...none, doubled: 3 }, { ...none, doubled: 1, apart: 0, split: 2 })).toEqual({
    ...none,
    apart: 0,
    split: 2,
  });
});
