/** The planner and its kin, off the page. One worker a question: cancelling is ending it. */
import type { Alternative, Finding, PartModel, Plan, Planned, PlanRequest, PlanResult, Remedy, WayOut } from '@junctor/core';
import { alternativesFor, makeCatalogue, planWiring, remediesFor, waysOut } from '@junctor/core';
import { solverFrom } from '@junctor/solver';
import { expose } from 'comlink';
import highs from 'highs';
import wasm from 'highs/runtime?url';

/** A request without the catalogue, which travels as models. */
export type PlanQuestion = Omit<PlanRequest, 'catalogue'> & { models: readonly PartModel[] };

const loading = highs({ locateFile: () => wasm }).then((instance) => solverFrom(instance as never));

function requestOf({ models, ...rest }: PlanQuestion): PlanRequest {
  return { ...rest, catalogue: makeCatalogue(models) };
}

const planWork = {
  async plan(question: PlanQuestion, onProgress: (share: number, words: string) => void): Promise<PlanResult> {
    onProgress(0.05, 'loading the solver');
    return planWiring(requestOf(question), await loading, onProgress);
  },
  async waysOut(question: PlanQuestion, conflict: Extract<PlanResult, { is: 'conflict' }>): Promise<WayOut[]> {
    return waysOut(requestOf(question), conflict, await loading);
  },
  async alternatives(question: PlanQuestion, planned: Planned, wish: string): Promise<Alternative[]> {
    return alternativesFor(planned, requestOf(question), wish, await loading);
  },
  remedies(plan: Plan, models: readonly PartModel[], finding: Finding): Remedy[] {
    return remediesFor(plan, makeCatalogue(models), finding);
  },
};

export type PlanWork = typeof planWork;
expose(planWork);
