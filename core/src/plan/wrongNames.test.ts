import { expect, it } from 'vitest';
import { benchParts, benchSlots, buildOf, fitted, goodWires, wire } from '../testing/fixtures';
import { wrongNames } from './wrongNames';

const catalogue = benchParts();
const good = buildOf(benchSlots, goodWires());
const wrong = (target: typeof good) => wrongNames({ target }, catalogue).map(({ path, reason }) => `${path}: ${reason}`);

it('finds nothing in a plan whose names all mean something', () => {
  expect(wrong({ ...good, wires: { ...good.wires, Z: wire('Z', 'RX.T', null) } })).toEqual([]);
});

it('names unknown parts, wires to nowhere, wrong keys, housings and plugs', () => {
  expect(wrong({ ...good, slots: { ...good.slots, X: fitted('nothing') } })).toEqual(['target.slots.X: the catalogue has no part model nothing revision 1']);
  const W = { ...wire('W', 'RX.T', 'FC.NO'), id: 'V' };
  const cavity = { ...wire('C', 'RX.T', null), ends: [good.wires.T!.ends[0], { at: { on: 'cavity' as const, housing: 'H', position: 3 }, by: 'crimp' as const }] as const };
  const H = { id: 'H', family: 'f', pitchMm: 1, ways: 2, key: 'k' };
  const mates = { J: { a: { slot: 'FC', connector: 'J9' }, b: { housing: 'NONE' }, shift: 0, mirrored: false, glued: false } };
  expect(wrong({ ...good, wires: { ...good.wires, W, C: cavity }, housings: { H }, mates })).toEqual([
    'target.wires.W: is called V inside', 'target.wires.V.ends.1: there is no FC.NO', 'target.wires.C.ends.1: there is no contact 3 in a housing H',
    'target.mates.J: there is no plug J9 on FC', 'target.mates.J: there is no housing NONE',
  ]);
});
