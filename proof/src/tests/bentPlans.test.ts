/** Files that hold what cannot be: refused in words that name the place, or computed with; never a throw. */
import type { PlanDraft, Solve } from '@junctor/core';
import {
  alignmentOf,
  assemble,
  conversion,
  deriveJob,
  emptyBuild,
  emptyLog,
  expect as expectationOf,
  kitList,
  judge,
  makeCatalogue,
  motorMap,
  netlist,
  planWiring,
  remediesFor,
  setupSheet,
  spiceDeckOf,
  supplyTree,
  wireRows,
  wiringSvg,
  wishesFor,
  wrongNames,
} from '@junctor/core';
import { buildFile, check } from '@junctor/core/schemas';
import { loadSolver } from '@junctor/solver/node';
import { plainList } from '@junctor/demo';
import { shippedMeters, shippedModels, shippedTemplates } from '@junctor/catalogue';
import { beforeAll, describe, expect, it } from 'vitest';
import { oddPlans } from '../generators/bentPlans/odd';
import { refusedPlans } from '../generators/bentPlans/refused';
import type { Bent } from '../generators/bentPlans/bend';
import { random } from '../generators/generate';

const catalogue = makeCatalogue(shippedModels());
const meter = { id: 'meter', ...shippedMeters[0]! };
const file = (plan: PlanDraft) => ({ format: 'junctor-build', version: 1, name: 'bent', plan });

/** What is said of a file before anything is computed: the first complaint; null when it is taken. */
function refused(plan: PlanDraft): string | null {
  const checked = check(buildFile, JSON.parse(JSON.stringify(file(plan))));
  if (!checked.ok) return `${checked.mistakes[0]!.path}: ${checked.mistakes[0]!.message}`;
  const [wrong] = wrongNames(plan, catalogue);
  return wrong ? `${wrong.path}: ${wrong.reason}` : null;
}

/** All that the pages, the permit and the terminal ask of a plan. */
function computeAll(draft: PlanDraft, good: PlanDraft): void {
  const { target, links, cells } = draft;
  const assembly = assemble(target, catalogue);
  const nothing = assemble(emptyBuild, catalogue);
  const plan = { ...draft, jobId: 'job', version: 1 };
  netlist(assembly);
  supplyTree(assembly, cells);
  spiceDeckOf(assembly, 'bent');
  wiringSvg(assembly, 'bent');
  wireRows(target, links);
  setupSheet(plan, catalogue);
  motorMap(assembly);
  alignmentOf(assembly);
  kitList(nothing, assembly);
  conversion(assemble(good.target, catalogue), assembly);
  for (const found of judge(assembly, links, cells).slice(0, 1)) remediesFor(plan, catalogue, found);
  for (const { touch } of plainList(assembly).touches.slice(0, 12)) expectationOf(assembly, touch, { meter });
  deriveJob({ jobId: 'job', plan, log: emptyLog(catalogue), catalogue, list: plainList(assembly) });
}

let solve: Solve;
beforeAll(async () => {
  solve = await loadSolver();
});

// Each plan is bent at another place.
describe.each(shippedTemplates().map(({ id, plan }, index) => ({ id, good: plan, seed: index + 1 })))(
  '$id',
  ({ good, seed }) => {
    const bent = (bend: Bent['bend']) => {
      const rnd = random(seed);
      return bend(good, (from) => from[Math.floor(rnd() * from.length)]!);
    };

    it.each(refusedPlans)('refuses $what', ({ bend }) => {
      expect(refused(bent(bend))).toMatch(/^\S+: .+ /);
    });

    it.each(oddPlans)('computes with $what', ({ bend }) => {
      const odd = bent(bend);
      expect(refused(odd)).toBeNull();
      computeAll(odd, good);
    });

    it.each(oddPlans.filter(({ parts }) => parts))('plans or says why not: $what', ({ bend }) => {
      const { target, cells } = bent(bend);
      const wishes = wishesFor(assemble({ ...emptyBuild, slots: target.slots }, catalogue));
      const result = planWiring({ slots: target.slots, cells, wishes, catalogue, pinned: [] }, solve);
      expect(result.is === 'planned' ? result.target.slots : result.why).toBeTruthy();
    });
  },
);
