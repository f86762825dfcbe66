/**
 * The core's models solved by HiGHS. Loading it is the business of whoever runs it: browser and Node find the file
 * differently.
 */
import type { LinearModel, Solution, Solve } from '@junctor/core';
import { toLpText } from '@junctor/core';

/** The part of the package that is used here. */
export interface OneShotSolver {
  solve(
    problem: string,
    options?: object,
  ): { Status: string; ObjectiveValue: number; Columns: Record<string, { Primal?: number }> };
}

/** Longest that one solve may take, in seconds. */
const mostSeconds = 60;

/** A solver that proves its optimum: no gap is allowed. */
export function solverFrom(highs: OneShotSolver): Solve {
  return (model: LinearModel): Solution => {
    if (model.binaries.length + model.counts.length === 0) return { is: 'optimal', value: 0, values: {} };
    const { text, names } = toLpText(model);
    const options = { mip_rel_gap: 0, mip_abs_gap: 0, time_limit: mostSeconds, output_flag: false };
    const quick = highs.solve(text, options);
    // Its presolve has called models impossible that are not: "impossible" counts only without it.
    const result = quick.Status === 'Infeasible' ? highs.solve(text, { ...options, presolve: 'off' }) : quick;
    if (result.Status === 'Infeasible') return { is: 'impossible' };
    if (result.Status !== 'Optimal') return { is: 'gave up', why: result.Status };
    return {
      is: 'optimal',
      value: result.ObjectiveValue,
      values: Object.fromEntries(names.map((name, index) => [name, result.Columns[`x${index}`]?.Primal ?? 0])),
    };
  };
}
