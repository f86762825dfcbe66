import { expect, it } from 'vitest';
import { enumerated } from './enumerated';

it('names all of a few, and the first of many with how many more', () => {
  const names = Array.from({ length: 12 }, (_, index) => `M${index + 1}`);
  expect(enumerated(names.slice(0, 2))).toBe('M1, M2');
  expect(enumerated(names.slice(0, 8))).toBe('M1, M2, M3, M4, M5, M6, M7, M8');
  expect(enumerated(names)).toBe('M1, M2, M3, M4, M5, M6 and 6 more');
});
