/**
 * A wire went to another pad than planned: can the plan follow? Gives the change that keeps it, with the wire that
 * was planned for that pad taking the freed place, and what the rules say of it.
 */
import { landedOn } from '../../facts/assembly/build';
import type { Wire } from '../../facts/assembly/build';
import type { TerminalRef, WireId } from '../../facts/terms/names';
import type { Plan } from '../../facts/plan/plan';
import type { PlanChange } from '../../facts/plan/planChange';
import { applyPlanChanges } from '../../facts/plan/planChange';
import type { Finding } from './finding';
import { newFindings } from './judge';
import type { Assembly } from '../../facts/assembly/assembly';
import { assemble } from '../../facts/assembly/assembly';
import { lookUp } from '../../facts/terms/lookUp';

export interface RebasedPlan {
  changes: readonly PlanChange[];
  /** What would be wrong with it: kill and stop findings that the plan did not have before. Empty: it can be kept. */
  objections: readonly Finding[];
}

/** The offer to plan an end of a wire onto another terminal. `asBuilt` tells which ends are landed already. */
export function rebasePlan(
  plan: Plan,
  asBuilt: Assembly,
  { wireId, end }: { wireId: WireId; end: 0 | 1 },
  to: TerminalRef,
): RebasedPlan {
  const wire = lookUp(plan.target.wires, wireId);
  if (!wire) throw new RangeError(`no wire ${wireId} in the plan`);
  const moved = withLanding(wire, end, to);
  const displaced = displacedBy(plan, asBuilt, { wire, end }, to);
  const changes: PlanChange[] = [
    { path: `wires/${wireId}`, before: wire, after: moved },
    ...displaced.map(({ wire: other, end: otherEnd }): PlanChange => ({
      path: `wires/${other.id}`,
      before: other,
      after: withLanding(other, otherEnd, landedOn(wire.ends[end])!),
    })),
  ];
  const changed = applyPlanChanges(plan, changes);
  if (!changed.ok) throw new Error('a change made from the plan must fit it');
  return {
    changes,
    objections: newFindings(plan, changed.plan, asBuilt.catalogue).filter(({ severity }) => severity !== 'warn'),
  };
}

function withLanding(wire: Wire, end: 0 | 1, ref: TerminalRef): Wire {
  const landed = { ...wire.ends[end], at: { on: 'terminal' as const, ref } };
  return { ...wire, ends: end === 0 ? [landed, wire.ends[1]] : [wire.ends[0], landed] };
}

/** The wire planned for that pad and not landed there yet, when the pad holds no more. */
function displacedBy(
  plan: Plan,
  asBuilt: Assembly,
  { wire, end }: { wire: Wire; end: 0 | 1 },
  to: TerminalRef,
): { wire: Wire; end: 0 | 1 }[] {
  if (!landedOn(wire.ends[end])) return [];
  const users = Object.values(plan.target.wires).filter((other) =>
    other.ends.some((end) => landedOn(end) === to && end.by !== 'factory'),
  );
  if (users.length < (assemble(plan.target, asBuilt.catalogue).terminal(to)?.holds ?? 1)) return [];
  for (const other of Object.values(plan.target.wires)) {
    for (const otherEnd of [0, 1] as const) {
      const isThere = landedOn(other.ends[otherEnd]) === to && other.ends[otherEnd].by !== 'factory';
      const done =
        lookUp(asBuilt.build.wires, other.id) && landedOn(lookUp(asBuilt.build.wires, other.id)!.ends[otherEnd]) === to;
      if (isThere && !done && other.id !== wire.id) return [{ wire: other, end: otherEnd }];
    }
  }
  return [];
}
