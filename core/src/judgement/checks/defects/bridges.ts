/** Metal between two pads. */
import { hasRole } from '../../../facts/catalogue/roles';
import type { Family, Place } from './defect';
import { pairs } from './defect';
import { gapMm } from '../../../physics/geometry/gap';

/** What solder closes, and what a stray strand reaches, in mm. */
export const [bridgeMm, strandMm] = [2, 5];
const metalOhms = 0.05;
/** Flux, a hair of solder, a part half gone. */
const partialOhms = 20;
/** A supply above this is the pack's, or as good as that. */
const highV = 9;

export const bridges: readonly Family[] = [
  {
    kind: 'solder bridge',
    because: 'too much solder between neighbours',
    make: ({ assembly, placesOf }) =>
      Object.keys(assembly.build.slots).flatMap((slot) =>
        pairs(placesOf(slot).filter(({ terminal: { form } }) => form !== 'pin' && form !== 'tail'))
          .filter(([a, b]) => within(a, b, bridgeMm))
          .map(([a, b]) => touching(a, b)),
      ),
  },
  {
    kind: 'pins of a plug bridged',
    because: 'solder or a whisker between two pins',
    make: ({ assembly, placesOf }) =>
      Object.keys(assembly.build.slots).flatMap((slot) =>
        assembly.model(slot)!.connectors.flatMap(({ pins }) => {
          const own = pins.map((pin) => placesOf(slot).find(({ terminal }) => terminal.id === pin)!);
          return own.slice(1).flatMap((place, index) => {
            const before = own[index]!;
            return before.node === place.node ? [] : [touching(before, place)];
          });
        }),
      ),
  },
  {
    kind: 'battery on a signal pad',
    because: 'a strand of a thick wire that did not go into its joint',
    make: ({ assembly, placesOf }) =>
      Object.keys(assembly.build.slots).flatMap((slot) => {
        const high = placesOf(slot).filter(({ terminal }) =>
          terminal.roles.some((role) => role.is === 'supply' && role.volts[1] > highV),
        );
        const signals = placesOf(slot).filter(({ terminal }) => hasRole(terminal, 'port'));
        return high.flatMap((a) =>
          signals.filter((b) => within(a, b, strandMm) && !within(a, b, bridgeMm)).map((b) => touching(a, b)),
        );
      }),
  },
  {
    kind: 'partial short of a supply',
    because: 'a part half gone, a hair of solder, water',
    make: ({ assembly, placesOf }) =>
      Object.keys(assembly.build.slots).flatMap((slot) => {
        const own = placesOf(slot).filter(({ terminal }) => terminal.form !== 'tail');
        const ground = own.find(({ terminal }) => hasRole(terminal, 'ground'));
        const supplies = own.filter(({ terminal }) => hasRole(terminal, 'supply'));
        const first = supplies.filter(({ node }, index) => supplies.findIndex((one) => one.node === node) === index);
        return ground ? first.map((supply) => touching(supply, ground, partialOhms)) : [];
      }),
  },
];

export function within(a: Place, b: Place, mostMm: number): boolean {
  const isOneSide = a.terminal.sides.some((side) => b.terminal.sides.includes(side));
  return a.node !== b.node && isOneSide && gapMm(a.terminal, b.terminal) <= mostMm;
}

export function touching(a: Place, b: Place, ohms = metalOhms): ReturnType<Family['make']>[number] {
  return { site: { between: [a.ref, b.ref] }, edits: [{ bridge: [a.node, b.node], ohms }] };
}
