/** Wires that are on another pad than they should be. */
import type { WireEnd } from '../../../facts/assembly/build';
import { hasRole } from '../../../facts/catalogue/roles';
import { jointName } from '../../../facts/terms/names';
import { pointOf } from '../../../facts/wiring/netlist';
import { jointOhms } from '../../../physics/circuit/compile';
import type { DefectView, Family, Place } from './defect';
import { pairs, slotOf } from './defect';
import { neighbourWithinMm } from '../neighbours';
import { strandMm, within } from './bridges';

export const moved: readonly Family[] = [
  {
    kind: 'two wires exchanged',
    often: 4,
    because: 'two wires of one board or plug taken for each other',
    make: (view) =>
      pairs(endsOf(view))
        .filter(([one, other]) => one.wire !== other.wire && isNear(one, other))
        .map(([one, other]) => ({
          site: { wire: one.wire, end: one.index, for: jointName(other.wire, other.index) },
          edits: [...onto(one, other.point), ...onto(other, one.point)],
          ...(isSupplyAndGround(one, other) ? { harm: 'kill' as const } : {}),
        })),
  },
  {
    kind: 'wire on the pad beside',
    often: 3,
    because: 'a pad counted wrong',
    make: (view) =>
      endsOf(view).flatMap((end) => {
        const { place } = end;
        if (!place) return [];
        return view
          .placesOf(slotOf(place))
          .filter(({ terminal }) => terminal.holds > 0 && terminal.form !== 'pin')
          .filter((beside) => within(place, beside, neighbourWithinMm))
          .map((beside) => ({
            site: { wire: end.wire, end: end.index, onto: beside.ref },
            edits: onto(end, beside.node),
          }));
      }),
  },
];

interface PlacedEnd {
  wire: string;
  index: 0 | 1;
  end: WireEnd;
  /** What it is on, as a node of the circuit. */
  point: string;
  /** The terminal that it is on; undefined: a cavity. */
  place: Place | undefined;
}

function endsOf({ assembly, placeAt }: DefectView): PlacedEnd[] {
  return Object.values(assembly.build.wires).flatMap((wire) =>
    ([0, 1] as const).flatMap((index): PlacedEnd[] => {
      const end = wire.ends[index];
      const point = end.by === 'factory' ? null : pointOf(assembly, end.at);
      const place = end.at.on === 'terminal' ? placeAt(end.at.ref) : undefined;
      return point ? [{ wire: wire.id, index, end, point, place }] : [];
    }),
  );
}

function isNear(one: PlacedEnd, other: PlacedEnd): boolean {
  if (one.point === other.point) return false;
  const [a, b] = [one.end.at, other.end.at];
  if (a.on === 'cavity' && b.on === 'cavity') return a.housing === b.housing;
  if (!one.place || !other.place) return false;
  return slotOf(one.place) === slotOf(other.place) && within(one.place, other.place, strandMm);
}

function onto({ wire, index }: PlacedEnd, point: string) {
  const end = jointName(wire, index);
  return [{ cut: end }, { bridge: [`~${end}`, point] as const, ohms: jointOhms }];
}

function isSupplyAndGround({ place: a }: PlacedEnd, { place: b }: PlacedEnd): boolean {
  if (!a || !b) return false;
  const is = (one: Place, other: Place) => hasRole(one.terminal, 'supply') && hasRole(other.terminal, 'ground');
  return is(a, b) || is(b, a);
}
