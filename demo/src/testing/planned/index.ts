export type { Generated } from './generate';
export { generate, random } from './generate';
export { fewestActs } from '../oracle/fewestActs';
export { smallBuild } from './pairs';
export type { Best } from './enumerate';
export { bestByTrying } from './enumerate';
