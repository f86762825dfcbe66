export { anonymous, firstLead, fitEsc, openJob, sent } from './client';
export type { Client, Reply } from './client';
export { startPrivateServer } from '../database/privateServer';
export { startTestShop } from './testShop';
export type { TestShop } from './testShop';
export { runShop } from './runShop';
export type { RunningShop } from './runShop';
export { makeFloor } from '../floor/routes';
