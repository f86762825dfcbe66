/** Everything that can be wrong with a build, one thing at a time: from its geometry, its wiring and its insides. */
import type { Assembly } from '../../../facts/assembly/assembly';
import { remembered } from '../../../facts/assembly/assembly';
import { compileSound } from '../../../physics/circuit/compile';
import { meltable } from '../../../physics/circuit/melt';
import type { Defect, Family } from './defect';
import { makeDefectView } from './defect';
import { bridges } from './bridges';
import { insides } from './insides';
import { joints } from './joints';
import { moved } from './moved';
import { parts } from './parts';
import { plugs } from './plugs';
import { harmsIn } from './harm';

const families: readonly Family[] = [...joints, ...bridges, ...moved, ...plugs, ...parts, ...insides];

/** Faults that change nothing for anybody are left out. */
export const defectsOf: (assembly: Assembly) => readonly Defect[] = remembered((assembly) => {
  const circuit = compileSound(assembly);
  const view = makeDefectView(assembly, circuit);
  const harmOf = harmsIn(view, meltable(circuit, { switchesClosed: false }));
  return families.flatMap(({ kind, because, often, make }) =>
    make(view).flatMap(({ site, edits, harm: said, orElse }, index): Defect[] => {
      const harm = said ?? harmOf(edits) ?? orElse;
      return harm ? [{ id: `${kind} ${index + 1}`, kind, because, often, site, harm, edits }] : [];
    }),
  );
});
