export { demoPlan } from './demoPlan';
export type { DemoJob, DemoShop } from './demoShop';
export { demoShop } from './demoShop';
export { seededIds } from './seededIds';
export type { Bench, Walk } from './bench';
export { plainBench } from './plainBench';
export { bodiesFor, readingOf } from './goodWork';
export type { Mishap } from './virtualTechnician';
export { doStep, record, startWalk, walk } from './virtualTechnician';
