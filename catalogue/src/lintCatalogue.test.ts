import type { PartModel } from '@junctor/core';
import { expect, it } from 'vitest';
import { shippedModels } from './shipped';
import { modelGaps } from './lintCatalogue';

const esc = shippedModels().find(({ id }) => id === 'lapwing-esc-45')!;
const withFirst = (change: object): PartModel => ({
  ...esc,
  terminals: [{ ...esc.terminals[0]!, ...change }, ...esc.terminals.slice(1)],
});

it('finds nothing on the shipped models', () => {
  expect(shippedModels().flatMap(modelGaps)).toEqual([]);
});

it.each([
  ['no place', { atMm: undefined }, 'atMm'],
  ['no side', { sides: [] }, 'sides'],
  ['no size', { sizeMm: [0, 2] }, 'no size'],
  ['no limits', { withstandV: [0, 0] }, 'no voltage limits'],
  ['a place off the part', { atMm: [99, 0] }, 'off the part'],
  ['a port that is not there', { roles: [{ is: 'port', port: 'NONE', pin: 'a' }] }, 'NONE'],
  ['the id of another', { id: 'B1' }, 'there twice'],
])('lists a terminal with %s', (_what, change, words) => {
  expect(modelGaps(withFirst(change)).join('\n')).toContain(words);
});
