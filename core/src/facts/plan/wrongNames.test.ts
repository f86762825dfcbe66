import { expect, it } from 'vitest';
import { benchParts, benchSlots, buildOf, fitted, goodWires, wire } from '../../testing/fixtures';
import { wrongNames } from './wrongNames';

const catalogue = benchParts();
const good = buildOf(benchSlots, goodWires());
const wrong = (target: typeof good) =>
  wrongNames({ target, front: null, links: [], wishes: [], pinned: [] }, catalogue).map(
    ({ path, reason }) => `${path}: ${reason}`,
  );

it('finds nothing in a plan whose names all mean something', () => {
  expect(wrong({ ...good, wires: { ...good.wires, Z: wire('Z', 'RX.T', null) } })).toEqual([]);
});

it('names unknown parts, wires to nowhere, wrong keys, housings and plugs', () => {
  expect(wrong({ ...good, slots: { ...good.slots, X: fitted('nothing') } })).toEqual([
    'target.slots.X: the catalogue has no part model nothing revision 1',
  ]);
  const W = { ...wire('W', 'RX.T', 'FC.NO'), id: 'V' };
  const cavity = {
    ...wire('C', 'RX.T', null),
    ends: [
      good.wires.T!.ends[0],
      { at: { on: 'cavity' as const, housing: 'H', position: 3 }, by: 'crimp' as const },
    ] as const,
  };
  const H = { id: 'H', family: 'f', pitchMm: 1, ways: 2, key: 'k' };
  const mates = {
    J: { a: { slot: 'FC', connector: 'J9' }, b: { housing: 'NONE' }, shift: 0, mirrored: false, glued: false },
  };
  expect(wrong({ ...good, wires: { ...good.wires, W, C: cavity }, housings: { H }, mates })).toEqual([
    'target.wires.W: is called V inside',
    'target.wires.V.ends.1: there is no FC.NO',
    'target.wires.C.ends.1: there is no contact 3 in a housing H',
    'target.mates.J: there is no plug J9 on FC',
    'target.mates.J: there is no housing NONE',
  ]);
});

it('names what stands twice, and what is more than any aircraft has', () => {
  const link = { id: 'L', purpose: 'x', ends: [], wires: [], set: {} };
  const pin = { what: 'port', of: 'receiver RX', value: 'FC/U1' } as const;
  const plan = {
    target: good,
    front: null,
    links: [link, { ...link, id: 'M' }, link],
    wishes: [],
    pinned: [pin, { ...pin, what: 'colour' as const, of: 'RX.T' }, pin],
  };
  expect(wrongNames(plan, catalogue)).toEqual([
    { path: 'links.2', reason: 'L stands there already' },
    { path: 'pinned.2', reason: 'port receiver RX stands there already' },
  ]);
  const wires = Object.fromEntries(
    Array.from({ length: 1001 }, (_, index) => [`W${index}`, wire(`W${index}`, 'RX.T', 'FC.NO')]),
  );
  expect(wrong({ ...good, wires })).toEqual(['target.wires: 1001 are more than 1000']);
});
