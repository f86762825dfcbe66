/** Crossings seen from above, and what may be exchanged to lower them. */
import { describe, expect, it } from 'vitest';
import type { TerminalRef } from '../../facts/terms/names';
import type { Strand } from './uncross';
import { uncross } from './uncross';
import { segmentsCross } from '../../physics/geometry/crossings';

/** Terminals named by where they are: `X.3,4`. */
const pointOf = (ref: TerminalRef): [number, number] => ref.slice(2).split(',').map(Number) as [number, number];
const lengthMm = (a: TerminalRef, b: TerminalRef) =>
  Math.round(Math.hypot(pointOf(a)[0] - pointOf(b)[0], pointOf(a)[1] - pointOf(b)[1]));
const strand = (own: string, to: string, group: string | null = 'g', may: Strand['may'] = () => true): Strand => ({
  own: `A.${own}`,
  to: `B.${to}`,
  group,
  may,
});
const done = (...strands: Strand[]) => uncross(strands, { pointOf, lengthMm });

describe('fewer crossings', () => {
  it('exchanges two pads that serve alike', () => {
    expect(done(strand('0,0', '10,10'), strand('0,10', '10,0'))).toEqual({
      pads: ['B.10,0', 'B.10,10'],
      before: 1,
      after: 0,
    });
  });

  it('takes three leads apart that are turned over', () => {
    const { before, after, pads } = done(strand('0,0', '10,20'), strand('0,10', '10,10'), strand('0,20', '10,0'));
    // All three meet in the middle lead's own middle: what counts is that none is left.
    expect([after, pads]).toEqual([0, ['B.10,0', 'B.10,10', 'B.10,20']]);
    expect(before).toBeGreaterThan(0);
  });

  it('leaves what may not be exchanged', () => {
    const crossed = [strand('0,0', '10,10', null), strand('0,10', '10,0', null)];
    expect(done(...crossed)).toMatchObject({ before: 1, after: 1 });
    expect(done(strand('0,0', '10,10', 'plus'), strand('0,10', '10,0', 'minus'))).toMatchObject({ after: 1 });
    expect(
      done(
        strand('0,0', '10,10', 'g', (pad) => pad !== 'B.10,0'),
        strand('0,10', '10,0'),
      ),
    ).toMatchObject({ after: 1 });
  });

  it('never lengthens the wires for it', () => {
    const longer = (own: TerminalRef, pad: TerminalRef) => (own === 'A.0,0' && pad === 'B.10,0' ? 100 : 10);
    expect(uncross([strand('0,0', '10,10'), strand('0,10', '10,0')], { pointOf, lengthMm: longer })).toMatchObject({
      after: 1,
    });
  });

  it('knows when two wires cross', () => {
    expect(segmentsCross([0, 0], [10, 10], [0, 10], [10, 0])).toBe(true);
    expect(segmentsCross([0, 0], [10, 10], [0, 0], [10, 0])).toBe(false);
    expect(segmentsCross([0, 0], [1, 1], [5, 0], [5, 9])).toBe(false);
  });
});
