import { expect, it } from 'vitest';
import { makeCatalogue } from '../catalogue/catalogue';
import { benchParts, benchSlots, buildOf, goodWires, ground, model, takes, terminal } from '../../testing/fixtures';
import { landedOn } from './build';
import { retained } from './retained';
import { assemble } from './assembly';

const other = model('other', 'receiver', [terminal('V', [takes(4.5, 5.5)]), terminal('G', [ground])]);
const catalogue = makeCatalogue([...benchParts().models, other]);
const good = buildOf(benchSlots, goodWires());

it('is the build itself while no part is replaced', () => {
  expect(retained(assemble(good, catalogue), good)).toBe(assemble(good, catalogue));
  const { RX: _gone, ...rest } = benchSlots;
  // A part that only goes leaves nothing to be mistaken for: its slot is not in the target.
  expect(retained(assemble(good, catalogue), buildOf(rest, []))).toBe(assemble(good, catalogue));
});

it('leaves a wire on the board that stays and lifts it off the part that is replaced', () => {
  const left = retained(assemble(good, catalogue), buildOf({ ...benchSlots, RX: 'other' }, goodWires())).build;
  expect(left.slots).not.toHaveProperty('RX');
  expect(left.wires.V!.ends.map(landedOn)).toEqual([null, 'FC.5V']);
  expect(left.wires.WP).toEqual(good.wires.WP);
});
