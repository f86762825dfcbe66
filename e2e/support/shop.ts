/** A running shop for each journey, and a page that may talk to nothing else. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { RunningShop } from '@junctor/server/testing';
import { runShop } from '@junctor/server/testing';
import type { Page } from '@playwright/test';
import { test as base } from '@playwright/test';

interface ShopOptions {
  shopKind: 'demo' | 'empty';
  /** As real data is kept: needed where the database is killed. */
  durable: boolean;
}

export const test = base.extend<{ page: Page; shop: RunningShop }, { fresh: string } & ShopOptions>({
  shopKind: ['demo', { option: true, scope: 'worker' }],
  durable: [false, { option: true, scope: 'worker' }],
  // The data folder of a shop at its first start, made once and copied for every journey.
  fresh: [
    async ({ shopKind }, use) => {
      const folder = mkdtempSync(join(tmpdir(), 'junctor-fresh-'));
      const shop = await runShop(folder, { empty: shopKind === 'empty' });
      await shop.stop();
      await use(folder);
      rmSync(folder, { recursive: true, force: true });
    },
    { scope: 'worker', timeout: 90_000 },
  ],
  shop: async ({ fresh, durable }, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'junctor-e2e-'));
    execFileSync('cp', ['-a', `${fresh}/.`, folder]);
    const shop = await runShop(folder, { durable });
    await use(shop);
    await shop.stop();
    rmSync(folder, { recursive: true, force: true });
  },
  page: async ({ page, shop }, use) => {
    const strangers: string[] = [];
    page.on('request', (request) => {
      const url = request.url();
      if (!url.startsWith(shop.url) && !url.startsWith('data:') && !url.startsWith('blob:')) strangers.push(url);
    });
    await use(page);
    if (strangers.length > 0) throw new Error(`the page asked elsewhere: ${strangers.join(', ')}`);
  },
});

export { expect } from '@playwright/test';
