/** What the application is given: nothing in it reads the environment or the clock by itself. */
import type { Logger } from 'pino';
import type { ShopCatalogue } from '../catalogue/shopCatalogue';
import type { Database } from '../database/Database';

export interface Deps {
  database: Database;
  catalogue: ShopCatalogue;
  templates: readonly Template[];
  log: Logger;
  now: () => Date;
  /** Folder of the built pages; null where only the interface for programs is wanted. */
  pages: string | null;
  /** Sign-in tries in 15 minutes from one address. */
  signInTries: number;
  /** Of the shop: another one since it was made again from a backup. */
  epoch: string;
}

export interface Template {
  id: string;
  name: string;
  plan: import('@junctor/core').PlanDraft;
}
