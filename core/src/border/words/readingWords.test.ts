/** Numbers and bands as they are said at the bench. */
import { describe, expect, it } from 'vitest';
import { bandWords, numberWords, toneWords } from './readingWords';

describe('numbers', () => {
  it.each([
    [0, '0'],
    [5, '5'],
    [0.35, '0.35'],
    [0.006, '6 m'],
    [68e-6, '68 µ'],
    [4.7e-9, '4.7 n'],
    [26000, '26 k'],
    [2e6, '2 M'],
    [-0.3, '-0.3'],
  ])('%s is said as %s', (value, words) => {
    expect(numberWords(value)).toBe(words);
  });

  it('says a band in the unit of its mode, and what is open', () => {
    expect(bandWords([0.4, 0.71], 'diode')).toBe('0.40 to 0.71 V');
    expect(bandWords([12000, 15000], 'ohms')).toBe('12 k to 15 kΩ');
    expect(bandWords([0.1, 0.4], 'ohms')).toBe('0.1 to 0.4 Ω');
    expect(bandWords([6e6, 1e9], 'ohms')).toBe('open');
  });

  it('says silence as silence', () => {
    expect([toneWords('none'), toneWords('chirp')]).toEqual(['silent', 'chirp']);
  });
});
