/** From a database's owner URL to everything the application needs. */
import { shippedModels, shippedTemplates } from '@junctor/catalogue';
import type { Logger } from 'pino';
import { addMissingModels, loadModels } from './catalogue/catalogue';
import { makeShopCatalogue } from './catalogue/shopCatalogue';
import { openDatabase } from './database/Database';
import { migrate } from './database/migrate';
import type { Deps } from './http/Deps';
import type { ShopKind } from './shop/firstStart';
import { ensureShop } from './shop/firstStart';

export interface ShopOptions {
  ownerUrl: string;
  databaseName: string;
  /** null: whatever is there, the demo shop the first time. */
  wanted: ShopKind | null;
  log: Logger;
  now: () => Date;
  pages: string | null;
  signInTries: number;
}

/** @throws {StartError} With one clear line when the shop cannot be opened. */
export async function openShop(options: ShopOptions): Promise<Deps & { kind: ShopKind }> {
  const { log, now, pages, signInTries } = options;
  const database = openDatabase(await migrate(options.ownerUrl, options.databaseName));
  await addMissingModels(database, shippedModels(), now());
  const catalogue = makeShopCatalogue(await loadModels(database));
  const templates = shippedTemplates();
  const kind = await ensureShop(database, catalogue, templates, options.wanted, now());
  return { database, catalogue, templates, log, now, pages, signInTries, kind };
}
