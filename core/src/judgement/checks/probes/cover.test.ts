/** The quickest list on small cases, against every list there is. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { TerminalRef } from '../../../facts/terms/names';
import type { LinearModel, Solution } from '../../../facts/terms/solver';
import { coverOf } from './cover';

/** Tries everything. */
function tryAll({ minimise, constraints, binaries }: LinearModel): Solution {
  const place = new Map(binaries.map((name, index) => [name, index]));
  const sum = (terms: LinearModel['minimise'], set: number) =>
    terms.reduce((total, [name, factor]) => total + ((set >> place.get(name)!) & 1) * factor, 0);
  let best: { value: number; set: number } | null = null;
  for (let set = 0; set < 2 ** binaries.length; set++) {
    const value = sum(minimise, set);
    if (best && value >= best.value) continue;
    if (constraints.every(({ terms, is, value: bound }) => is === '>=' && sum(terms, set) >= bound))
      best = { value, set };
  }
  if (!best) return { is: 'impossible' };
  const { set, value } = best;
  return { is: 'optimal', value, values: Object.fromEntries(binaries.map((name, i) => [name, (set >> i) & 1])) };
}

const blacks: readonly TerminalRef[] = ['A.1', 'B.1', 'C.1'];
const cases = fc.record({
  touches: fc.array(
    fc.record({
      seconds: fc.tuple(fc.integer({ min: 2, max: 9 }), fc.integer({ min: 2, max: 9 })),
      on: fc.tuple(fc.nat(2), fc.nat(2)),
      isEitherWay: fc.boolean(),
    }),
    { minLength: 2, maxLength: 3 },
  ),
  blackS: fc.tuple(fc.nat(8), fc.nat(8), fc.nat(8)),
  wanted: fc.array(fc.array(fc.nat(2), { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 3 }),
});

it('is the quickest of all lists that show everything, black set down once in each place', () => {
  fc.assert(
    fc.property(cases, ({ touches, blackS, wanted }) => {
      const all = touches.map(({ seconds, on, isEitherWay }) => ({
        touch: { black: blacks[on[0]]!, red: 'X.1' as const, mode: 'tone' as const, power: 'off' as const },
        ways: (isEitherWay && on[0] !== on[1] ? [0, 1] : [0]).map((way) => ({
          black: blacks[on[way]!]!,
          seconds: seconds[way]!,
        })),
      }));
      const secondsOf = (ref: TerminalRef) => blackS[blacks.indexOf(ref)]!;
      const rows = wanted.map((by) => [...new Set(by.map((touch) => touch % touches.length))]);
      const cover = coverOf(
        { candidates: { all, blackS: secondsOf }, wanted: rows.map((by) => ({ by, times: 1 })), anchors: new Map() },
        tryAll,
      );
      // Every choice of touches, each in every way.
      const lists = all.reduce<{ black: TerminalRef; seconds: number; touch: number }[][]>(
        (made, { ways }, touch) => made.flatMap((list) => [list, ...ways.map((way) => [...list, { ...way, touch }])]),
        [[]],
      );
      const showing = lists.filter((list) => rows.every((by) => list.some(({ touch }) => by.includes(touch))));
      const cost = (list: (typeof lists)[number]) =>
        list.reduce((sum, { seconds }) => sum + seconds, 0) +
        [...new Set(list.map(({ black }) => black))].reduce((sum, ref) => sum + secondsOf(ref), 0);
      expect(cover).toMatchObject({ is: 'proven', seconds: Math.min(...showing.map(cost)) });
    }),
    { numRuns: 60 },
  );
});
