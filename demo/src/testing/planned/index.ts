export type { Generated } from './generate';
export { generate, random } from './generate';
export type { Best } from './enumerate';
export { bestByTrying } from './enumerate';
