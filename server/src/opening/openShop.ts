/** From a database's owner URL to everything the application needs. */
import { shippedModels, shippedTemplates } from '@junctor/catalogue';
import type { Logger } from 'pino';
import { addMissingModels, loadModels } from '../catalogue/storedModels';
import { makeShopCatalogue } from '../catalogue/shopCatalogue';
import { openDatabase } from '../database/Database';
import { migrate } from '../database/migrate';
import { rebuildJobViews } from '../jobs/jobView';
import type { LogDeps } from '../log/QuadLogs';
import { makeQuadLogs } from '../log/QuadLogs';
import { makeTouchLists } from '../lists/TouchLists';
import { shopEpoch } from '../shop/shop';
import type { ShopKind } from './firstStart';
import { ensureShop } from './firstStart';

interface ShopOptions {
  ownerUrl: string;
  databaseName: string;
  /** null: whatever is there, the demo shop the first time. */
  wanted: ShopKind | null;
  /** Makes every derived view again, not only those that are behind. */
  rebuild: boolean;
  log: Logger;
  now: () => Date;
  pages: string | null;
  signInTries: number;
}

/** @throws {StartError} With one clear line when the shop cannot be opened. */
export async function openShop(options: ShopOptions): Promise<LogDeps & { kind: ShopKind }> {
  const { log, now, pages, signInTries, rebuild } = options;
  const database = openDatabase(await migrate(options.ownerUrl, options.databaseName));
  await addMissingModels(database, shippedModels(), now());
  const catalogue = makeShopCatalogue(await loadModels(database));
  const templates = shippedTemplates();
  const kind = await ensureShop({ database, catalogue, templates }, options.wanted, now());
  const logs = makeQuadLogs(catalogue);
  const lists = makeTouchLists({ database, catalogue, now });
  const epoch = await shopEpoch(database);
  await rebuildJobViews({ database, catalogue, logs, lists }, rebuild);
  return { database, catalogue, logs, lists, templates, log, now, pages, signInTries, epoch, kind };
}
