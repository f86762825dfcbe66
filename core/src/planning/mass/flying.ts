/** An aircraft ready to fly with a pack: mass, where the pack must lie, what its motors make of it. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Range } from '../../facts/terms/names';
import type { Balance } from './balance';
import { massBand, motorsMiddle } from './balance';
import type { Thrust } from './thrust';
import type { Laid } from '../../physics/layout/laid';
import { laidOut } from '../../physics/layout/laid';
import type { PackPlace } from './packPlace';
import { packPlace } from './packPlace';
import { motorsOf, thrustOf } from './thrust';

export interface Flying {
  pack: PartModel;
  g: Range;
  /** Where the pack's middle brings the centre over the motors' middle: to the right and forward of that, in mm. */
  packAt: { rightMm: number; forwardMm: number; offMm: number; place: PackPlace | null } | null;
  /** null: no motor says what it pulls with these propellers. */
  thrust: Thrust | null;
}

const packOff = 0.03;
const propellerOff = 0.03;

interface FlyingAs {
  pack: PartModel;
  /** null: not said; it is then in neither mass nor thrust. */
  propeller: PartModel | null;
  /** How its parts lie. */
  laid?: Laid | null;
}

export function flyingWith(
  target: Assembly,
  { g: dry, centre }: Balance,
  { pack, propeller, laid = laidOut(target) }: FlyingAs,
): Flying {
  const blades = (propeller?.massG ?? 0) * motorsOf(target).length;
  const g = massBand([
    { kind: 'dry', g: (dry[0] + dry[1]) / 2, offG: (dry[1] - dry[0]) / 2 },
    { kind: 'pack', g: pack.massG, offG: pack.massG * packOff },
    { kind: 'blades', g: blades, offG: blades * propellerOff },
  ]);
  // Propellers turn about the motors' middle: they pull neither way.
  const lever = (dry[0] + dry[1]) / 2 / pack.massG;
  const packAt = centre && balancing(target, centre, { lever, pack, laid });
  return { pack, g, packAt, thrust: propeller && thrustOf(target, { propeller, pack, g }) };
}

function balancing(
  target: Assembly,
  { atMm, offMm }: NonNullable<Balance['centre']>,
  { lever, pack, laid }: { lever: number; pack: PartModel; laid: Laid | null },
): NonNullable<Flying['packAt']> {
  const [rightMm, forwardMm] = [-atMm[0] * lever, -atMm[1] * lever];
  const [x, y] = motorsMiddle(target)!;
  const place = laid && packPlace(laid, pack, [x + rightMm, y + forwardMm]);
  return { rightMm, forwardMm, offMm: offMm * lever, place };
}
