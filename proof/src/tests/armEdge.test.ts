/** The edge of an arm that the blade reaches last: by turning a blade round until it has crossed both. */
import { shippedTemplate } from '@junctor/catalogue';
import { armEdge, assemble, motorMap } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { catalogue } from '../trials/ruleTrial';

/** From 90 degrees before the arm in steps of a degree: which of two points 8 mm beside its middle is crossed later. */
function crossedLast([x, y]: readonly [number, number], sense: 'clockwise' | 'anticlockwise'): 'left' | 'right' {
  const inwards = Math.atan2(-y, -x);
  const long = Math.hypot(x, y);
  const beside = (mm: number) => {
    // A point of the arm half way in, seen from the motor: left of its middle, looking outwards, for more than 0.
    const at = [x / 2 - (y / long) * mm, y / 2 + (x / long) * mm] as const;
    return Math.atan2(at[1] - y, at[0] - x);
  };
  const step = ((sense === 'clockwise' ? -1 : 1) * Math.PI) / 180;
  const reachedAfter = (angle: number) => {
    for (let turn = 0; turn < 180; turn++) {
      const blade = inwards - 90 * step + turn * step;
      if (Math.abs(Math.atan2(Math.sin(blade - angle), Math.cos(blade - angle))) <= Math.abs(step)) return turn;
    }
    throw new Error('the blade has missed the arm');
  };
  return reachedAfter(beside(8)) > reachedAfter(beside(-8)) ? 'left' : 'right';
}

describe('along an arm a wire takes the edge that the blade reaches last', () => {
  it.each(['quad-serial-6s', 'carrier-coax-6s'])('on %s, in either convention', (id) => {
    const assembly = assemble(shippedTemplate(id).plan.target, catalogue);
    for (const convention of ['normal', 'reversed'] as const)
      for (const { slot, atMm, sense } of motorMap(assembly, convention)) {
        const lead = Object.values(assembly.build.wires).find(({ tailOf }) => tailOf?.startsWith(`${slot}.`))!;
        expect(armEdge(assembly, lead, convention)).toBe(crossedLast(atMm!, sense));
      }
  });

  it('and none where the wire is on no arm', () => {
    const assembly = assemble(shippedTemplate('quad-serial-6s').plan.target, catalogue);
    const own = Object.values(assembly.build.wires).find(({ ends }) => JSON.stringify(ends).includes('RX.'))!;
    expect(armEdge(assembly, own, 'normal')).toBeNull();
  });
});
