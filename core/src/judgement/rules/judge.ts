/** Judges a plan or an as-built record by every rule, alike. */
import type { Build, Wire } from '../../facts/assembly/build';
import { emptyBuild, sameLanding } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { Range } from '../../facts/terms/names';
import type { Link, Plan } from '../../facts/plan/plan';
import type { Finding } from './finding';
import { makeRuleView, severities } from './finding';
import { polarity } from './polarity';
import { rules } from './rules';
import type { Assembly } from '../../facts/assembly/assembly';
import { assemble } from '../../facts/assembly/assembly';
import { lookUp } from '../../facts/terms/lookUp';

/** Findings, worst first; each key once. */
export function judge(assembly: Assembly, links: readonly Link[], cells: Range): Finding[] {
  const view = makeRuleView(assembly, links, cells);
  const byKey = new Map<string, Finding>();
  for (const rule of rules)
    for (const found of rule.judge(view)) if (!byKey.has(found.key)) byKey.set(found.key, found);
  return [...byKey.values()].sort((a, b) => severities.indexOf(a.severity) - severities.indexOf(b.severity));
}

type Judged = Pick<Plan, 'target' | 'links' | 'cells'>;

/** What the rules say of a plan or a build after a change and did not say before it, worst first. */
export function newFindings(before: Judged, after: Judged, catalogue: Catalogue): Finding[] {
  const said = ({ target, links, cells }: Judged) => judge(assemble(target, catalogue), links, cells);
  const known = new Set(said(before).map(({ key }) => key));
  return said(after).filter(({ key }) => !known.has(key));
}

/**
 * While building: the target with what is really landed in place of what was planned, so that a half-built supply
 * is no missing ground, plus polarity on what exists. What came in with the quad at the `start` and shall go is still
 * to go.
 */
export function judgeSoFar(
  asBuilt: Assembly,
  target: Assembly,
  { links, cells }: { links: readonly Link[]; cells: Range },
  start?: Assembly,
): Finding[] {
  const found = judge(
    assemble(targetAsLanded(asBuilt.build, target.build, start?.build ?? emptyBuild), asBuilt.catalogue),
    links,
    cells,
  );
  const keys = new Set(found.map(({ key }) => key));
  return [...found, ...polarity.judge(makeRuleView(asBuilt, links, cells)).filter(({ key }) => !keys.has(key))];
}

/** The target with every end that has been landed since the start where it really is. */
function targetAsLanded(asBuilt: Build, target: Build, start: Build): Build {
  const wires = { ...target.wires };
  const untouched = (wire: Wire, end: 0 | 1) =>
    Boolean(lookUp(start.wires, wire.id) && sameLanding(lookUp(start.wires, wire.id)!.ends[end].at, wire.ends[end].at));
  for (const wire of Object.values(asBuilt.wires)) {
    const planned = lookUp(wires, wire.id);
    if (!planned) {
      if (!untouched(wire, 0) || !untouched(wire, 1)) wires[wire.id] = wire;
      continue;
    }
    const end = (index: 0 | 1) =>
      wire.ends[index].at.on === 'air' || untouched(wire, index) ? planned.ends[index] : wire.ends[index];
    wires[wire.id] = { ...planned, ends: [end(0), end(1)] };
  }
  return { ...target, wires, slots: { ...asBuilt.slots, ...target.slots } };
}
