/**
 * Ways out of a finding: changes of the plan after which it is gone and nothing graver has come. Every candidate is
 * judged by all rules before it is offered, so a remedy is never a guess. The smallest change comes first.
 */
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { Plan } from '../../facts/plan/plan';
import { applyPlanChanges } from '../../facts/plan/planChange';
import type { Finding } from '../../judgement/rules/finding';
import { judge } from '../../judgement/rules/judge';
import { candidates } from './candidates';
import { assemble } from '../../facts/assembly/assembly';
import type { Remedy } from './scene';

const maxOffered = 4;
const maxTried = 160;

/** Remedies of a finding of a plan, best first; empty when the program knows none. */
export function remediesFor(plan: Plan, catalogue: Catalogue, found: Finding): Remedy[] {
  const before = judge(assemble(plan.target, catalogue), plan.links, plan.cells);
  const grave = new Set(before.filter(({ severity }) => severity !== 'warn').map(({ key }) => key));
  const good: { remedy: Remedy; left: number }[] = [];
  for (const remedy of candidates(plan, catalogue, found).slice(0, maxTried)) {
    const made = applyPlanChanges(plan, remedy.changes);
    if (!made.ok) continue;
    const after = judge(assemble(made.plan.target, catalogue), made.plan.links, made.plan.cells);
    const worse = after.some(({ key, severity }) => severity !== 'warn' && !grave.has(key));
    if (worse || after.some(({ key }) => key === found.key)) continue;
    good.push({ remedy, left: after.length });
  }
  const least = Math.min(...good.map(({ left }) => left));
  return good
    .filter(({ left }) => left === least)
    .map(({ remedy }) => remedy)
    .sort((a, b) => a.changes.length - b.changes.length)
    .slice(0, maxOffered);
}
