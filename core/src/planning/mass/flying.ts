/** An aircraft ready to fly with a pack: mass, where the pack must lie, what its motors make of it. */
import type { Assembly } from '../../facts/assembly/assembly';
import { frameOf } from '../../facts/assembly/frameOf';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Range } from '../../facts/terms/names';
import type { Balance } from './balance';
import { massBand } from './balance';
import type { Thrust } from './thrust';
import { acrossMm } from '../../physics/layout/box';
import { motorsOf, thrustOf } from './thrust';

export interface Flying {
  pack: PartModel;
  g: Range;
  /** Where the pack's middle brings the centre over the motors' middle: to the right and forward of that, in mm. */
  packAt: { rightMm: number; forwardMm: number; offMm: number; overMm: number | null } | null;
  /** null: no motor says what it pulls with these propellers. */
  thrust: Thrust | null;
}

const packOff = 0.03;
const propellerOff = 0.03;

/** @param propeller null: not said; it is then in neither mass nor thrust. */
export function flyingWith(
  target: Assembly,
  { g: dry, centre }: Balance,
  { pack, propeller }: { pack: PartModel; propeller: PartModel | null },
): Flying {
  const blades = (propeller?.massG ?? 0) * motorsOf(target).length;
  const g = massBand([
    { kind: 'dry', g: (dry[0] + dry[1]) / 2, offG: (dry[1] - dry[0]) / 2 },
    { kind: 'pack', g: pack.massG, offG: pack.massG * packOff },
    { kind: 'blades', g: blades, offG: blades * propellerOff },
  ]);
  // Propellers turn about the motors' middle: they pull neither way.
  const lever = (dry[0] + dry[1]) / 2 / pack.massG;
  const packAt = centre && {
    rightMm: -centre.atMm[0] * lever,
    forwardMm: -centre.atMm[1] * lever,
    offMm: centre.offMm * lever,
    overMm: overMm(target, pack, -centre.atMm[1] * lever),
  };
  return { pack, g, packAt, thrust: propeller && thrustOf(target, { propeller, pack, g }) };
}

/** By how much the pack, lying along, reaches out over the plate it lies on; null where no plate is known. */
function overMm(target: Assembly, pack: PartModel, forwardMm: number): number | null {
  const top = [...(frameOf(target)?.plates ?? [])].sort((a, b) => b.zMm - a.zMm)[0];
  if (!top) return null;
  const ys = top.outlineMm.map(([, y]) => y);
  const half = acrossMm(pack) / 2;
  return Math.max(0, forwardMm + half - Math.max(...ys), Math.min(...ys) - (forwardMm - half));
}
