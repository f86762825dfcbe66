/**
 * The rules on trial: blind mutations of four templates and eight hand-wired builds, with a powered DC solve as truth.
 */
import type { Build, Finding, Link, Plan } from '@junctor/core';
import { judge, makeCatalogue, assemble } from '@junctor/core';
import { shippedModels, shippedTemplates } from '@junctor/catalogue';
import { handWired } from '../cases/handWired';
import { wireByHand } from '../cases/wireByHand';
import type { Mutant } from '../generators/mutate';
import { mutate } from '../generators/mutate';
import type { Truth } from '../oracles/truth';
import { truth } from '../oracles/truth';

export const catalogue = makeCatalogue(shippedModels());

export interface GoodBuild {
  name: string;
  build: Build;
  links: readonly Link[];
  cells: readonly [number, number];
}

/** The plan that leads to a good build. */
export function planOf({ build, links, cells }: GoodBuild, jobId: string): Plan {
  return { jobId, version: 1, target: build, front: null, links, wishes: [], pinned: [], cells, schools: {} };
}

/** All twelve. */
export function goodBuilds(): GoodBuild[] {
  const templates = shippedTemplates().map(({ name, plan }) => ({
    name,
    build: plan.target,
    links: plan.links,
    cells: plan.cells,
  }));
  const byHand = handWired.map((hand) => {
    const { target, links, cells } = wireByHand(hand, catalogue);
    return { name: hand.name, build: target, links, cells };
  });
  return [...templates, ...byHand];
}

export interface Verdict extends Mutant {
  of: string;
  is: Truth;
  because: string;
  found: readonly Finding[];
}

/**
 * Mutations of a build with what is true of it and what the rules say. `every`: of exchanges between far pads;
 * `everyth`: of all.
 */
export function tried(good: GoodBuild, every?: number, everyth = 1): Verdict[] {
  return mutate(good.build, catalogue, good.cells, every)
    .filter((_, index) => index % everyth === 0)
    .map((mutant) => ({
      ...mutant,
      of: good.name,
      ...truth({ build: mutant.build, catalogue, links: good.links, cells: mutant.cells }, good.build),
      found: judge(assemble(mutant.build, catalogue), good.links, mutant.cells),
    }));
}

/** True when the rules object as gravely as they must. */
export function caught({ is, found }: Pick<Verdict, 'is' | 'found'>): boolean {
  return found.some(({ severity }) => severity === 'kill' || (is === 'stop' && severity === 'stop'));
}

/** An objection to what works; more wires than a pad holds is a matter of solder, not of wiring. */
export function falseAlarm({ is, found }: Pick<Verdict, 'is' | 'found'>): Finding | undefined {
  return is === 'fine' ? found.find(({ severity, rule }) => severity !== 'warn' && rule !== 'pad full') : undefined;
}
