/**
 * Remedies on trial: a build is spoiled by one blind mutation, the first remedy of its worst finding is taken, and the
 * powered solve says whether it works again.
 */
import type { Plan } from '@junctor/core';
import { applyPlanChanges, judge, remediesFor, assemble, wrongNames } from '@junctor/core';
import type { GoodBuild } from './ruleTrial';
import { catalogue } from './ruleTrial';
import type { Mutant } from '../generators/mutate';
import { mutate } from '../generators/mutate';
import type { Outcome } from '../oracles/truth';
import { truth } from '../oracles/truth';

interface Mended {
  mutant: Mutant;
  /** What the rules say that they did not say before. */
  message: string;
  /** What the key says; null: the program knows no remedy. */
  remedy: string | null;
  /** The finding is gone, nothing graver has come, and the plan names nothing that is not there: judged anew. */
  gone: boolean;
  /** What the powered solve says afterwards; null while other findings are left. */
  then: Outcome | null;
}

/** Every so manyth mutation that makes a kill or a stop. */
export function mended(good: GoodBuild, every: number): Mended[] {
  const { build, links, cells } = good;
  const grave = (plan: Pick<Plan, 'target' | 'cells'>) =>
    judge(assemble(plan.target, catalogue), links, plan.cells).filter(({ severity }) => severity !== 'warn');
  const known = new Set(grave({ target: build, cells }).map(({ key }) => key));
  return mutate(build, catalogue, cells)
    .filter((_, index) => index % every === 0)
    .flatMap((mutant): Mended[] => {
      const plan: Plan = {
        jobId: 'trial',
        version: 1,
        target: mutant.build,
        front: null,
        links,
        wishes: [],
        pinned: [],
        cells: mutant.cells,
        schools: {},
      };
      const before = grave(plan);
      const found = before.find(({ key }) => !known.has(key));
      if (!found) return [];
      const [first] = remediesFor(plan, catalogue, found);
      const made = first && applyPlanChanges(plan, first.changes);
      if (!first || !made?.ok) return [{ mutant, message: found.message, remedy: null, gone: false, then: null }];
      const after = grave(made.plan);
      const worse = after.some(({ key }) => key === found.key || !before.some((finding) => finding.key === key));
      const gone = !worse && wrongNames(made.plan, catalogue).length <= wrongNames(plan, catalogue).length;
      const then =
        after.length === 0 ? truth({ build: made.plan.target, catalogue, links, cells: mutant.cells }, build) : null;
      return [{ mutant, message: found.message, remedy: first.message, gone, then }];
    });
}
