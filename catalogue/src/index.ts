/** What ships with every shop. */
export type { Template } from './shipped';
export { shippedModels, shippedTemplate, shippedTemplates } from './shipped';
export type { KeptList } from './shippedLists';
export { basisOf, shippedList } from './shippedLists';
export type { Limiter } from './tools';
export { shippedMeter, shippedMeters, shippedTools } from './tools';
