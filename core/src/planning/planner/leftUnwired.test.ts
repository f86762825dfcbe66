import { expect, it } from 'vitest';
import { assemble } from '../../facts/assembly/assembly';
import { benchParts, benchSlots, buildOf, goodWires } from '../../testing/fixtures';
import { leftUnwired } from './leftUnwired';

const unwired = (slots: Readonly<Record<string, string>>, wires = goodWires()) =>
  leftUnwired(assemble(buildOf(slots, wires), benchParts()));

it('names the parts that no wire reaches, and none that brings the volts itself', () => {
  expect(unwired(benchSlots)).toEqual([]);
  expect(unwired({ ...benchSlots, RX2: 'radio' })).toEqual(['RX2']);
  expect(unwired(benchSlots, [])).toEqual(['FC', 'RX']);
});
