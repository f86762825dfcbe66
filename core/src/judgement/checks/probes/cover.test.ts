/** The quickest list on small cases, against every list there is; what it buys besides; its order. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { TerminalRef } from '../../../facts/terms/names';
import type { LinearModel, Solution } from '../../../facts/terms/solver';
import type { Candidate, Candidates } from './candidates';
import { coverOf } from './cover';
import type { Anchors, Placed } from './hands';
import { moreProofs } from './moreProofs';
import { quicker, setDownS } from './quicker';

/** Tries everything. */
function tryAll({ minimise, constraints, binaries }: LinearModel): Solution {
  const place = new Map(binaries.map((name, index) => [name, index]));
  const sum = (terms: LinearModel['minimise'], set: number) =>
    terms.reduce((total, [name, factor]) => total + ((set >> place.get(name)!) & 1) * factor, 0);
  let best: { value: number; set: number } | null = null;
  for (let set = 0; set < 2 ** binaries.length; set++) {
    const value = sum(minimise, set);
    if (best && value >= best.value) continue;
    const isMet = constraints.every(({ terms, is, value: bound }) =>
      is === '>=' ? sum(terms, set) >= bound : sum(terms, set) <= bound,
    );
    if (isMet) best = { value, set };
  }
  if (!best) return { is: 'impossible' };
  const { set, value } = best;
  return { is: 'optimal', value, values: Object.fromEntries(binaries.map((name, i) => [name, (set >> i) & 1])) };
}

const pads: readonly TerminalRef[] = ['A.1', 'B.1', 'C.1', 'D.1'];

const cases = fc.record({
  touches: fc.array(
    fc.record({
      on: fc.tuple(fc.nat(3), fc.nat(3)).filter(([a, b]) => a !== b),
      isEitherWay: fc.boolean(),
      answerS: fc.integer({ min: 1, max: 4 }),
      /** Proves nothing without this one. */
      anchor: fc.option(fc.nat(3)),
    }),
    { minLength: 2, maxLength: 4 },
  ),
  downS: fc.tuple(...pads.map(() => fc.integer({ min: 1, max: 6 }))),
  wanted: fc.array(fc.array(fc.nat(3), { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 3 }),
  leftS: fc.integer({ min: 0, max: 20 }),
});
type Case = typeof cases extends fc.Arbitrary<infer T> ? T : never;

function candidatesOf({ touches, downS }: Case): { candidates: Candidates; anchors: Anchors } {
  const all = touches.map(({ on, isEitherWay, answerS }, index): Candidate => {
    const [black, red] = on.map((pad) => pads[pad]!) as [TerminalRef, TerminalRef];
    const ways = (isEitherWay ? [[black, red] as const, [red, black] as const] : [[black, red] as const]).flatMap(
      ([on, other]) => (['black', 'red'] as const).map((parked) => ({ black: on, red: other, parked })),
    );
    return { touch: { black, red, mode: 'tone', power: 'off' }, ways, answerS, asks: `${index}` };
  });
  const anchors = touches.flatMap(({ anchor }, index) => {
    const by = anchor === null ? index : anchor % touches.length;
    return by === index ? [] : [[index, [[by]]] as const];
  });
  return { candidates: { all, downS: (ref) => downS[pads.indexOf(ref)]! }, anchors: new Map(anchors) };
}

/** Every choice of touches in which each silence is proven, each in every way. */
function listsOf({ all }: Candidates, anchors: Anchors): Placed[][] {
  const lists = all.reduce<Placed[][]>(
    (made, { ways }, place) => made.flatMap((list) => [list, ...ways.map((way) => [...list, { place, way }])]),
    [[]],
  );
  return lists.filter((list) => {
    const isAsked = new Set(list.map(({ place }) => place));
    return list.every(({ place }) => (anchors.get(place) ?? []).every((by) => by.some((one) => isAsked.has(one))));
  });
}

function costOf(list: readonly Placed[], { all, downS }: Candidates): number {
  const parks = new Map(list.map(({ way }) => [`${way.parked} ${way[way.parked]}`, downS(way[way.parked])]));
  const walking = list.map(
    ({ place, way }) => all[place]!.answerS + downS(way.parked === 'black' ? way.red : way.black),
  );
  return [...walking, ...parks.values()].reduce((sum, seconds) => sum + seconds, 0);
}

it('is the quickest of all lists that show everything, a probe set down once for all while which it stays', () => {
  fc.assert(
    fc.property(cases, (drawn) => {
      const { candidates, anchors } = candidatesOf(drawn);
      const rows = drawn.wanted.map((by) => [...new Set(by.map((touch) => touch % drawn.touches.length))]);
      const cover = coverOf({ candidates, wanted: rows, anchors }, tryAll);
      const showing = listsOf(candidates, anchors).filter((list) =>
        rows.every((by) => list.some(({ place }) => by.includes(place))),
      );
      if (showing.length === 0) return expect(cover.is).toBe('gave up');
      const least = Math.min(...showing.map((list) => costOf(list, candidates)));
      expect(cover).toMatchObject({ is: 'proven', seconds: least });
    }),
    { numRuns: 100 },
  );
});

it('buys with the seconds that are left what proves most', () => {
  fc.assert(
    fc.property(cases, (drawn) => {
      const { candidates, anchors } = candidatesOf(drawn);
      const wishes = drawn.wanted.map((by, index) => ({
        by: [...new Set(by.map((touch) => touch % drawn.touches.length))],
        worth: index + 1,
      }));
      const more = moreProofs({ candidates, wishes, anchors, before: [], leftS: drawn.leftS }, tryAll);
      const worthOf = (list: readonly Placed[]) =>
        wishes.reduce((sum, { by, worth }) => sum + (list.some(({ place }) => by.includes(place)) ? worth : 0), 0);
      const within = listsOf(candidates, anchors).filter((list) => costOf(list, candidates) <= drawn.leftS);
      expect(costOf(more, candidates)).toBeLessThanOrEqual(drawn.leftS);
      expect(worthOf(more)).toBe(Math.max(...within.map(worthOf)));
    }),
    { numRuns: 60 },
  );
});

it('is put in a quicker order in which each silence still comes after what proves it', () => {
  fc.assert(
    fc.property(cases, fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })), (drawn, stream) => {
      const { candidates, anchors } = candidatesOf(drawn);
      const secondsOf = (list: readonly Placed[]) =>
        list.reduce((sum, one, index) => sum + setDownS(list[index - 1], one, candidates), 0);
      const isProven = (list: readonly Placed[]) =>
        list.every(({ place }, index) =>
          (anchors.get(place) ?? []).every((by) => list.slice(0, index).some((one) => by.includes(one.place))),
        );
      const start = candidates.all
        .map(({ ways }, place) => ({ place, way: ways[0]!, at: stream.next().value! }))
        .sort((a, b) => a.at - b.at)
        .map(({ place, way }) => ({ place, way }));
      if (!isProven(start)) return;
      const order = quicker(start, { candidates, anchors, fixed: 0 });
      expect(order.map(({ place }) => place).sort()).toEqual(start.map(({ place }) => place).sort());
      expect(isProven(order)).toBe(true);
      expect(secondsOf(order)).toBeLessThanOrEqual(secondsOf(start));
      // No one of them is better asked anywhere else.
      order.forEach((one, from) => {
        const rest = order.toSpliced(from, 1);
        rest.concat(one).forEach((_, to) => {
          const other = rest.toSpliced(to, 0, one);
          if (isProven(other)) expect(secondsOf(other)).toBeGreaterThanOrEqual(secondsOf(order));
        });
      });
    }),
    { numRuns: 100 },
  );
});
