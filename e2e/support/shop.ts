/** A running shop for each journey file, and a page that may talk to nothing else. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { RunningShop } from '@junctor/server/testing';
import { runShop } from '@junctor/server/testing';
import type { Page } from '@playwright/test';
import { test as base } from '@playwright/test';

interface ShopOptions {
  shopKind: 'demo' | 'empty';
}

export const test = base.extend<{ page: Page }, { shop: RunningShop } & ShopOptions>({
  shopKind: ['demo', { option: true, scope: 'worker' }],
  shop: [
    async ({ shopKind }, use) => {
      const folder = mkdtempSync(join(tmpdir(), 'junctor-e2e-'));
      const shop = await runShop(folder, { empty: shopKind === 'empty' });
      await use(shop);
      await shop.stop();
      rmSync(folder, { recursive: true, force: true });
    },
    { scope: 'worker', timeout: 90_000 },
  ],
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
