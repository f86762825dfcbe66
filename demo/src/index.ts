export { demoPlan } from './demoPlan';
export type { DemoJob, DemoShop } from './demoShop';
export { demoShop } from './demoShop';
export { seededIds } from './seededIds';
export type { Bench, Mishap, Walk } from './virtualTechnician';
export { bodiesFor, readingOf, record, startWalk, walk } from './virtualTechnician';
