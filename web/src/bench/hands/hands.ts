/** What is held at a step: one thing in each hand. */
import type { Hand } from '../../ui/Frame';
import type { Bench } from '../provider/bench';

export interface Hands {
  left: Hand;
  right: Hand;
}

/** The same bench, seen as it came in: plugs that are pulled by now are still named by their sockets. */
export function startBench(bench: Bench): Bench {
  return { ...bench, state: { ...bench.state, target: bench.state.start } };
}

/** The same bench, seen as it is built: for what comes off. */
export function asBuiltBench(bench: Bench): Bench {
  return { ...bench, state: { ...bench.state, target: bench.state.asBuilt } };
}
