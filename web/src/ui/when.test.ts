/** One form of dates everywhere. */
import { expect, it } from 'vitest';
import { clockWords, dayWords, whenWords } from './when';

const now = new Date(2026, 10, 28, 15, 0);

it('says a moment with its day, and of today only the time', () => {
  expect(whenWords(new Date(2026, 10, 8, 9, 5), now)).toBe('8 Nov 2026, 09:05');
  expect(whenWords(new Date(2026, 10, 28, 14, 32, 59), now)).toBe('14:32');
  expect(whenWords(new Date(2025, 10, 28, 14, 32), now)).toBe('28 Nov 2025, 14:32');
});

it('says a day with its weekday, or with its year', () => {
  expect(dayWords(new Date(2026, 11, 4), now)).toBe('Fri 4 Dec');
  expect(dayWords(new Date(2027, 0, 4), now)).toBe('4 Jan 2027');
});

it('says a time of day to the second', () => {
  expect(clockWords(new Date(2026, 10, 28, 4, 3, 2))).toBe('04:03:02');
});
