import { expect, test } from 'vitest';
import { benchParts, benchSlots, buildOf, goodWires, wire } from '../../testing/fixtures';
import { applyAct } from '../assembly/applyAct';
import { assemble } from '../assembly/assembly';
import { lookUp } from './lookUp';

const inherited = ['constructor', 'toString', 'valueOf', 'hasOwnProperty'];

test('only what was put into a table is in it', () => {
  expect(lookUp({ W1: 28 }, 'W1')).toBe(28);
  for (const name of inherited) expect(lookUp<string, number>({}, name)).toBeUndefined();
  expect(lookUp<string, number>(null, 'W1')).toBeUndefined();
});

test('a wire, a part and a plug may have a name that every object inherits', () => {
  const before = assemble(buildOf(benchSlots, goodWires()), benchParts());
  for (const name of inherited) {
    expect(applyAct(before, { do: 'free', wire: name, end: 0, left: 'clean', now: 'bare' }).build).toEqual(
      before.build,
    );
    expect(before.model(name)).toBeNull();
    const as = { at: { on: 'terminal', ref: 'FC.G' }, by: 'solder' } as const;
    const { id, ends, ...body } = wire(name, null, null);
    const after = applyAct(before, { do: 'land', wire: name, end: 1, body, as });
    expect(lookUp(after.build.wires, name)?.ends).toEqual([ends[0], as]);
    expect(id).toBe(name);
  }
});
