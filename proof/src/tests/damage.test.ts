/** Visible damage on the demo quads: pairs that go together, suspects, what comes first, what it takes. */
import type { Build } from '@junctor/core';
import { damages, judgeDamage, landedOn, makeCatalogue, assemble } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { shippedModels, shippedTemplate } from '@junctor/catalogue';

const catalogue = makeCatalogue(shippedModels());
const [stack, carrier] = ['quad-glasshouse-6s', 'carrier-coax-6s'].map((id) => shippedTemplate(id).plan.target) as [
  Build,
  Build,
];

describe('what visible damage means', () => {
  it('a black winding takes motor and ESC, on a carrier the motor’s own', () => {
    expect(judgeDamage('black motor winding', 'M2', assemble(stack, catalogue))).toMatchObject({
      replace: ['M2', 'ESC'],
      suspect: [],
    });
    expect(judgeDamage('black motor winding', 'M5', assemble(carrier, catalogue)).replace).toEqual(['M5', 'ESC5']);
  });

  it('a hole in an ESC takes the ESC; its motors are read first', () => {
    expect(judgeDamage('hole or shifted transistor', 'ESC3', assemble(carrier, catalogue))).toMatchObject({
      replace: ['ESC3'],
      suspect: ['M3'],
      first: expect.stringContaining('siblings'),
    });
    expect(judgeDamage('hole or shifted transistor', 'ESC', assemble(stack, catalogue)).suspect).toEqual([
      'M1',
      'M2',
      'M3',
      'M4',
    ]);
  });

  it('a charred board and a burst capacitor name each other', () => {
    const charred = judgeDamage('charred board or lifted copper', 'ESC', assemble(stack, catalogue));
    expect([charred.replace, charred.suspect, charred.because]).toEqual([
      ['ESC'],
      ['CAP'],
      expect.stringContaining('shorted directly'),
    ]);
    expect(judgeDamage('capacitor burst or gone', 'CAP', assemble(stack, catalogue))).toMatchObject({
      replace: ['CAP'],
      suspect: ['ESC'],
    });
    expect(judgeDamage('capacitor burst or gone', 'ESC', assemble(stack, catalogue))).toMatchObject({
      replace: ['CAP'],
      suspect: [],
    });
  });

  it('counts every joint on the parts and on their leads', () => {
    const on = (slot: string) =>
      Object.values(stack.wires).flatMap(({ ends, tailOf }) =>
        ends.filter(
          (end) => end.by === 'solder' && (landedOn(end)?.startsWith(`${slot}.`) || tailOf?.startsWith(`${slot}.`)),
        ),
      ).length;
    expect(judgeDamage('hole or shifted transistor', 'ESC', assemble(stack, catalogue)).joints).toBe(on('ESC'));
    for (const seen of damages) expect(judgeDamage(seen, 'M1', assemble(stack, catalogue)).minutes).toBeGreaterThan(2);
    expect(() => judgeDamage('black motor winding', 'M9', assemble(stack, catalogue))).toThrow(RangeError);
  });
});
