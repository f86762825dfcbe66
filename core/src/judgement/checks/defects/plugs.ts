/** Plugs that are not as they should be. */
import type { Mate } from '../../../facts/assembly/build';
import { matedPoints } from '../../../facts/wiring/netlist';
import { contactOhms } from '../../../physics/circuit/compile';
import type { DefectView, Family } from './defect';

export const plugs: readonly Family[] = [
  {
    kind: 'plug turned',
    often: 1,
    because: 'forced in the other way round',
    make: (view) => become(view, (mate) => ({ ...mate, mirrored: !mate.mirrored })),
  },
  {
    kind: 'plug one position off',
    often: 1,
    because: 'beside its key by one pin',
    make: (view) => [1, -1].flatMap((step) => become(view, (mate) => ({ ...mate, shift: mate.shift + step }))),
  },
  { kind: 'plug not home', often: 5, because: 'not pushed until it clicked', make: (view) => become(view, () => null) },
];

function become({ assembly }: DefectView, change: (mate: Mate) => Mate | null): ReturnType<Family['make']> {
  return Object.entries(assembly.build.mates).map(([id, mate]) => {
    const cuts = matedPoints(assembly, mate).map(({ position }) => ({ cut: `${id}/${position}` }));
    const now = change(mate);
    const joins = now ? matedPoints(assembly, now) : [];
    return {
      site: { mate: id },
      edits: [...cuts, ...joins.map(({ a, b }) => ({ bridge: [a, b] as const, ohms: contactOhms }))],
    };
  });
}
