export { shippedModels, shippedTemplate, shippedTemplates } from './catalogue';
export type { Template } from './catalogue';
export type { DemoJob, DemoShop } from './demoShop';
export { demoShop } from './demoShop';
export { shippedMeter, shippedTools } from './tools';
export type { Limiter } from './tools';
export type { Bench, Mishap, Walk } from './virtualTechnician';
export { bodiesFor, readingOf, record, startWalk, walk } from './virtualTechnician';
export { seededIds } from './seededIds';
