/** Metal between two pads. */
import { hasRole } from '../../../facts/catalogue/roles';
import type { TerminalRef } from '../../../facts/terms/names';
import type { DefectView, Family, Place } from './defect';
import { isHighSupply } from './defect';
import { besideInPlug, neighbourPairs } from '../neighbours';
import { gapMm } from '../../../physics/geometry/gap';

/** What a stray strand reaches, in mm. */
export const strandMm = 5;
/** Of the part itself: it is there before anything is soldered. */
export const pinsBridged = 'pins of a plug bridged';
const metalOhms = 0.05;
/** Flux, a hair of solder, a part half gone. */
const partialOhms = 20;

export const bridges: readonly Family[] = [
  {
    kind: 'solder bridge',
    often: 6,
    because: 'too much solder between neighbours',
    make: (view) => eachTouching(view, neighbourPairs(view.assembly)),
  },
  {
    kind: pinsBridged,
    often: 1,
    because: 'solder or a whisker between two pins',
    make: (view) => eachTouching(view, besideInPlug(view.assembly)),
  },
  {
    kind: 'battery on a signal pad',
    often: 1,
    because: 'a strand of a thick wire that did not go into its joint',
    make: ({ assembly, placesOf }) => {
      // Neighbours are bridged in any case.
      const neighbours = new Set(
        [...neighbourPairs(assembly), ...besideInPlug(assembly)].flatMap(([a, b]) => [`${a} ${b}`, `${b} ${a}`]),
      );
      return Object.keys(assembly.build.slots).flatMap((slot) => {
        const high = placesOf(slot).filter((place) => isHighSupply(place));
        const signals = placesOf(slot).filter(({ terminal }) => hasRole(terminal, 'port'));
        return high.flatMap((a) =>
          signals
            .filter((b) => within(a, b, strandMm) && !neighbours.has(`${a.ref} ${b.ref}`))
            .map((b) => touching(a, b)),
        );
      });
    },
  },
  {
    kind: 'partial short of a supply',
    often: 1,
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

/** What is one conductor already cannot be bridged. */
function eachTouching(
  { placeAt }: DefectView,
  refs: readonly (readonly [TerminalRef, TerminalRef])[],
): ReturnType<Family['make']> {
  return refs.flatMap(([one, other]) => {
    const [a, b] = [placeAt(one)!, placeAt(other)!];
    return a.node === b.node ? [] : [touching(a, b)];
  });
}

export function touching(a: Place, b: Place, ohms = metalOhms): ReturnType<Family['make']>[number] {
  return { site: { between: [a.ref, b.ref] }, edits: [{ bridge: [a.node, b.node], ohms }] };
}
