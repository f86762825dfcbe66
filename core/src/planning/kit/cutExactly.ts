/** A small cut list as an exact model: an assignment of wires to offcuts with their lengths as capacity. */
import { lookUp } from '../../facts/terms/lookUp';
import type { Constraint, LinearModel, Solve } from '../../facts/terms/solver';
import type { Filled, Offcut, WireToCut } from './offcut';
import { kerfMm, roomMm } from './offcut';

/** The least new wire, then the fewest pieces; null where the solver gave up. */
export function cutExactly(wires: readonly WireToCut[], offcuts: readonly Offcut[], solve: Solve): Filled | null {
  if (offcuts.length === 0) return new Map();
  const solution = solve(modelOf(wires, offcuts));
  if (solution.is !== 'optimal') return null;
  const isFrom = (wire: number, offcut: number) => (lookUp(solution.values, nameOf(wire, offcut)) ?? 0) > 0.5;
  return new Map(
    offcuts.flatMap((offcut, index) => {
      const own = wires.filter((_, wire) => isFrom(wire, index));
      return own.length > 0 ? [[offcut, own] as const] : [];
    }),
  );
}

const nameOf = (wire: number, offcut: number) => `wire ${wire} from ${offcut}`;
const openName = (offcut: number) => `takes ${offcut}`;
const reel = 'takes the reel';

/** A millimetre of new wire weighs more than all pieces together. */
function modelOf(wires: readonly WireToCut[], offcuts: readonly Offcut[]): LinearModel {
  const pairs = wires.flatMap(({ mm }, wire) =>
    offcuts.flatMap((piece, offcut) =>
      mm + kerfMm <= roomMm(piece) ? [{ wire, offcut, mm, name: nameOf(wire, offcut) }] : [],
    ),
  );
  const weight = offcuts.length + 2;
  const once = wires.map((_, wire): Constraint => ({
    terms: [...pairs.filter((pair) => pair.wire === wire).map(({ name }) => [name, 1] as const), [reel, 1]],
    is: '>=',
    value: 1,
  }));
  const atMostOnce = wires.map((_, wire): Constraint => ({
    terms: pairs.filter((pair) => pair.wire === wire).map(({ name }) => [name, 1] as const),
    is: '<=',
    value: 1,
  }));
  const within = offcuts.map((piece, offcut): Constraint => ({
    terms: [
      ...pairs.filter((pair) => pair.offcut === offcut).map(({ name, mm }) => [name, mm + kerfMm] as const),
      [openName(offcut), -roomMm(piece)] as const,
    ],
    is: '<=',
    value: 0,
  }));
  return {
    minimise: [
      ...pairs.map(({ name, mm }) => [name, -mm * weight] as const),
      ...offcuts.map((_, offcut) => [openName(offcut), 1] as const),
      [reel, 1],
    ],
    constraints: [...once, ...atMostOnce.filter(({ terms }) => terms.length > 0), ...within],
    binaries: [...pairs.map(({ name }) => name), ...offcuts.map((_, offcut) => openName(offcut)), reel],
    counts: [],
  };
}
