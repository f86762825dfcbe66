import { expect, it } from 'vitest';
import { makeCatalogue } from '../catalogue/catalogue';
import { benchParts, benchSlots, buildOf, goodWires, ground, model, takes, terminal } from '../../testing/fixtures';
import { landedOn } from './build';
import { standing } from './retained';

const other = model('other', 'receiver', [terminal('V', [takes(4.5, 5.5)]), terminal('G', [ground])]);
const catalogue = makeCatalogue([...benchParts().models, other]);
const good = buildOf(benchSlots, goodWires());

it('is the build itself while no part is replaced', () => {
  expect(standing(good, good, catalogue)).toBe(good);
  const { RX: _gone, ...rest } = benchSlots;
  // A part that only goes leaves nothing to be mistaken for: its slot is not in the target.
  expect(standing(good, buildOf(rest, []), catalogue)).toBe(good);
});

it('leaves a wire on the board that stays and lifts it off the part that is replaced', () => {
  const left = standing(good, buildOf({ ...benchSlots, RX: 'other' }, goodWires()), catalogue);
  expect(left.slots).not.toHaveProperty('RX');
  expect(left.wires.V!.ends.map(landedOn)).toEqual([null, 'FC.5V']);
  expect(left.wires.WP).toEqual(good.wires.WP);
});
