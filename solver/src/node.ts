/** The solver for Node: command line, benchmarks and tests. */
import type { Solve } from '@junctor/core';
import highs from 'highs';
import { solverFrom } from './index';

let loaded: Promise<Solve> | null = null;

/** Loads the solver once. */
export function loadSolver(): Promise<Solve> {
  loaded ??= highs().then((instance) => solverFrom(instance as never));
  return loaded;
}
