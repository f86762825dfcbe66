/** The planner and its kin, off the page. One worker a question: cancelling is ending it. */
import type {
  Alternative,
  ComposeGiven,
  Composed,
  Conversion,
  CutList,
  Draft,
  Finding,
  Offcut,
  PartModel,
  Plan,
  Planned,
  PlanRequest,
  PlanResult,
  Remedy,
  WayOut,
  WireToCut,
} from '@junctor/core';
import {
  alternativesFor,
  compose,
  conversion,
  cutList,
  emptyBuild,
  makeCatalogue,
  planWiring,
  reasonFor,
  remediesFor,
  waysOut,
  assemble,
} from '@junctor/core';
import { solverFrom } from '@junctor/solver';
import { expose } from 'comlink';
import highs from 'highs';
import wasm from 'highs/runtime?url';

/** A request without the catalogue, which travels as models. */
export type PlanQuestion = Omit<PlanRequest, 'catalogue'> & { models: readonly PartModel[] };

/** Parts, all models that may be named, and which of them may be taken besides: by id. */
export interface ComposeQuestion extends Pick<ComposeGiven, 'pack' | 'keep' | 'built' | 'inStores' | 'dormant'> {
  draft: Draft;
  models: readonly PartModel[];
  stock: readonly string[];
}

const loading = highs({ locateFile: () => wasm }).then((instance) => solverFrom(instance as never));

function requestOf({ models, ...rest }: PlanQuestion): PlanRequest {
  return { ...rest, catalogue: makeCatalogue(models) };
}

/** A result with what the page says of it, made here as well. */
export interface PlanAnswer {
  result: PlanResult;
  /** Why each wish got its port. */
  reasons: Readonly<Record<string, string>>;
  /** From what is built to the plan; null when there is none. */
  made: Conversion | null;
}

const planWork = {
  async plan(question: PlanQuestion, onProgress: (share: number, words: string) => void): Promise<PlanAnswer> {
    onProgress(0.05, 'loading the solver');
    const request = requestOf(question);
    const result = planWiring(request, await loading, onProgress);
    if (result.is !== 'planned') return { result, reasons: {}, made: null };
    const reasons = Object.fromEntries(request.wishes.map(({ id }) => [id, reasonFor(result, request, id)]));
    return {
      result,
      reasons,
      made: conversion(
        assemble(request.built ?? request.keep ?? emptyBuild, request.catalogue),
        assemble(result.target, request.catalogue),
      ),
    };
  },
  async compose(
    { draft, models, stock, ...rest }: ComposeQuestion,
    onProgress: (share: number, words: string) => void,
  ): Promise<Composed> {
    onProgress(0.05, 'loading the solver');
    const solve = await loading;
    const usable = models.filter(({ id }) => stock.includes(id));
    return compose(draft, { catalogue: makeCatalogue(models), stock: usable, solve, onProgress, ...rest });
  },
  async waysOut(question: PlanQuestion, conflict: Extract<PlanResult, { is: 'conflict' }>): Promise<WayOut[]> {
    return waysOut(requestOf(question), conflict, await loading);
  },
  async alternatives(question: PlanQuestion, planned: Planned, wish: string): Promise<Alternative[]> {
    return alternativesFor(planned, requestOf(question), wish, await loading);
  },
  async cuts(wires: readonly WireToCut[], offcuts: readonly Offcut[]): Promise<CutList> {
    return cutList(wires, offcuts, await loading);
  },
  remedies(plan: Plan, models: readonly PartModel[], finding: Finding): Remedy[] {
    return remediesFor(plan, makeCatalogue(models), finding);
  },
};

export type PlanWork = typeof planWork;
expose(planWork);
