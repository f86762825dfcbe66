export { startPrivateServer } from '../database/privateServer';
export { startTestShop } from './testShop';
export type { TestShop } from './testShop';
export { runShop } from './runShop';
export type { RunningShop } from './runShop';
