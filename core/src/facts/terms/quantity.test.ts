import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseQuantity, prefixSlip } from './quantity';

describe('a number as it is said at the bench', () => {
  it.each([
    ['400k', 400e3],
    ['400 K', 400e3],
    ['2.2M', 2.2e6],
    ['2,2M', 2.2e6],
    ['4k7', 4700],
    ['30m', 0.03],
    ['-0.5', -0.5],
    ['.5', 0.5],
    ['12 V', 12],
    ['12V', 12],
    ['0', 0],
  ])('%s is %d', (text, value) => expect(parseQuantity(text, 'V')).toBeCloseTo(value, 9));

  it.each(['', 'k', '.', '-', '4k7k', '1.2k3', '12 A', 'twelve', '1 2', '--3', '4 7k'])('“%s” is none', (text) =>
    expect(parseQuantity(text, 'V')).toBeNull(),
  );

  it('is the same with a prefix as written out', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99999 }), fc.constantFrom('k', 'M'), (number, prefix) => {
        const zeros = prefix === 'k' ? '000' : '000000';
        expect(parseQuantity(`${number}${prefix}`)).toBe(parseQuantity(`${number}${zeros}`));
      }),
    );
  });
});

describe('a prefix that was forgotten', () => {
  it.each([
    [400, [300e3, 500e3], 400e3],
    [400e3, [300, 500], 400],
    [12, [11e6, 14e6], 12e6],
  ] as const)('%d where %j is usual is taken for %d', (value, typical, meant) => {
    expect(prefixSlip(value, typical)).toBe(meant);
  });

  it.each([
    [400, [300, 500]],
    [150, [300, 500]],
    [0, [300, 500]],
    [7, [300e3, 500e3]],
  ] as const)('%d where %j is usual is taken as it is', (value, typical) => {
    expect(prefixSlip(value, typical)).toBeNull();
  });
});
