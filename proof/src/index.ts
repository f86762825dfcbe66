/** The benchmarks that need no browser, each with its figures and bars; and what those with a server judge by. */
export type { Bridge } from './oracles/trueMeter';
export { TrueMeter } from './oracles/trueMeter';
export { random } from './generators/generate';
export { conversions } from './benchmarks/conversion';
export { growth } from './benchmarks/growth';
export { wholeHistories } from './benchmarks/histories';
export { labels } from './benchmarks/labels';
export type { Measurement } from './benchmarks/measurement';
export { atMost, none } from './benchmarks/measurement';
export { models } from './benchmarks/models';
export { pace } from './benchmarks/pace';
export { planner } from './benchmarks/planner';
export { remedies } from './benchmarks/remedies';
export { replacements } from './benchmarks/replacements';
export { rules } from './benchmarks/rules';
export { median } from './benchmarks/timed';
export { tones } from './benchmarks/tones';
export { unseen } from './benchmarks/unseen';
