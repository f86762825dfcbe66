import type { ModelIndexLine, PartLine } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { countProblem, findParts, typedParts } from './findParts';
import { slotsNamed } from './heapLines';
import { rebased } from './rebased';
import type { Heaped } from './useHeap';

const model = (id: string, kind: ModelIndexLine['kind'], name: string): ModelIndexLine => ({
  ...{ id, kind, name, revision: 1, maker: 'Fenmark', massG: 9, terminals: 4, retired: false },
});
const inHand = (id: string, onQuad: string | null): PartLine => ({
  ...{ id, model: 'teal', revision: 1, serial: `T-${id}`, batch: null, owner: 'Weir trust', fromQuad: null, onQuad },
  ...{ origin: 'used', condition: 'untested', firmware: null, weightG: null, madeAt: '' },
});
const index = [
  model('teal', 'receiver', 'Teal receiver'),
  model('marl', 'motor', 'Marl 2812'),
  { ...model('old', 'motor', 'Marl 2207'), retired: true },
  model('moss', 'pack', 'Marl pack'),
];
const among = {
  index,
  inHand: [inHand('1', null), inHand('2', 'Weir quad')],
  taken: new Set(['9']),
  quad: 'Chapel',
  kinds: null,
};
const found = (typed: string, more: Partial<typeof among> = {}) => findParts(typedParts(typed), { ...among, ...more });

describe('what is typed', () => {
  it.each([
    ['4 x marl', { count: 4, words: 'marl' }],
    ['4x marl 28', { count: 4, words: 'marl 28' }],
    ['12 × led', { count: 12, words: 'led' }],
    ['marl 4', { count: 1, words: 'marl 4' }],
    ['0 x marl', { count: 0, words: 'marl' }],
  ])('%s is so many of so named', (typed, wanted) => expect(typedParts(typed)).toEqual(wanted));

  it('none and a thousand are said, sixteen are not', () => {
    expect(['0 x a', '1000 x a', '16 x a'].map((typed) => countProblem(typedParts(typed)))).toEqual([
      'None of it is nothing to put on.',
      '1000 of one sort: no aircraft has more than 16.',
      null,
    ]);
  });
});

describe('what is found', () => {
  it('parts in hand come before models, with whose they are and where', () => {
    expect(found('teal').map(({ id, note }) => [id, note])).toEqual([
      ['part 1', 'in hand, of Weir trust, used, untested'],
      ['part 2', 'in Weir quad, of Weir trust, used, untested'],
      ['model teal', 'receiver, 9 g'],
    ]);
  });
  it('a part that is in another aircraft, or on the heap, is not taken twice', () => {
    expect(found('teal').map(({ blocked }) => blocked)).toEqual([
      null,
      'That part is in Weir quad: it comes off there first.',
      null,
    ]);
    expect(found('teal', { taken: new Set(['1']) })[0]!.blocked).toMatch(/on the heap already/);
    expect(found('teal', { quad: 'Weir quad' })[1]!.blocked).toBeNull();
  });
  it('of several that are wanted those in hand that are free come first, a line an owner, then the rest', () => {
    const several = [
      inHand('1', null),
      inHand('2', 'Weir quad'),
      inHand('3', null),
      { ...inHand('4', null), owner: null },
    ];
    const lines = found('4 x teal', { inHand: several });
    expect(lines.map(({ note, count, parts }) => [note, count, parts])).toEqual([
      ['2 in hand, of Weir trust, 2 not', 4, ['1', '3']],
      ['1 in hand, the shop’s, 3 not', 4, ['4']],
      ['receiver, 9 g', 4, []],
    ]);
  });
  it('nothing retired, and no pack, lies there to be taken', () => {
    expect(found('marl').map(({ id }) => id)).toEqual(['model marl']);
  });
});

it.each([
  [['M1', 'M2', 'M3', 'M4'], 'M1 to M4'],
  [['RX'], 'RX'],
  [['ESC1', 'ESC3'], 'ESC1 and ESC3'],
  [['LED1', 'LED2', 'LED5'], 'LED1, LED2, LED5'],
])('%j is called %s', (slots, words) => expect(slotsNamed(slots)).toBe(words));

describe('a heap whose plan somebody else has changed meanwhile', () => {
  const fitted = (id: string) => ({ model: id, revision: 1, part: null, pose: null });
  const wish = (of: string) => ({
    ...{ id: `receiver ${of}`, purpose: 'receiver' as const, of, must: true, lossIfDropped: 10, ways: [] },
  });
  const heaped = (slots: Heaped['slots']): Heaped => ({
    ...{ slots, pinned: [], cells: null, dormant: [], wishes: 'RX' in slots ? [wish('RX')] : [] },
  });
  const base = { FC: fitted('plover'), RX: fitted('teal') };

  it('keeps what was done here, and takes what was done there', () => {
    const mine = heaped({ FC: fitted('plover'), RX: fitted('dunlin'), BZ: fitted('corncrake') });
    const theirs = heaped({ FC: fitted('dipper'), RX: fitted('teal'), GPS: fitted('petrel') });
    expect(Object.entries(rebased(mine, base, theirs).slots).map(([slot, { model }]) => [slot, model])).toEqual([
      ['FC', 'dipper'],
      ['RX', 'dunlin'],
      ['GPS', 'petrel'],
      ['BZ', 'corncrake'],
    ]);
  });

  it('leaves out what was left out on either side, with what was wished of it', () => {
    const merged = rebased(heaped({ FC: fitted('plover') }), base, heaped(base));
    expect([Object.keys(merged.slots), merged.wishes]).toEqual([['FC'], []]);
    expect(Object.keys(rebased(heaped(base), base, heaped({ FC: fitted('plover') })).slots)).toEqual(['FC']);
  });
});
