/**
 * The page while the planner works: its longest task on the main thread, in Chromium, on the demo shop's conversion.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { runShop } from '@junctor/server/testing';
import { chromium } from '@playwright/test';
import type { Measurement } from '@junctor/proof';
import { atMost } from '@junctor/proof';

const rounds = 5;

export async function planning(): Promise<Measurement[]> {
  const folder = mkdtempSync(join(tmpdir(), 'junctor-planning-'));
  const shop = await runShop(folder, {});
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
    await page.goto(shop.url);
    await page.getByLabel('Name').fill('Bram Tolley');
    await page.keyboard.press('Tab');
    await page.keyboard.type('saltpan-bench');
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Glasshouse scout' }).waitFor();
    await page.keyboard.press('4');
    await page.getByTestId('sentence').waitFor();
    await page.keyboard.press('m');
    await page.getByText('Which pad takes').waitFor();
    await page.keyboard.press('4');
    const asked = page.getByText('What is wanted of these parts?');
    await asked.waitFor();
    await page.evaluate(() => {
      const seen = { longestMs: 0 };
      (window as unknown as { seen: typeof seen }).seen = seen;
      new PerformanceObserver((list) =>
        list.getEntries().forEach(({ duration }) => (seen.longestMs = Math.max(seen.longestMs, duration))),
      ).observe({ entryTypes: ['longtask'] });
    });
    for (let round = 0; round < rounds; round++) {
      await page.locator('body:not([data-enter="settling"])').waitFor();
      await page.keyboard.press('Enter');
      await page.getByText('Take this plan?').waitFor({ timeout: 30_000 });
      // Changing a wish forgets the plan.
      await page.keyboard.press('1');
      await asked.waitFor();
    }
    const longestMs = await page.evaluate(() => (window as unknown as { seen: { longestMs: number } }).seen.longestMs);
    return [
      atMost(`longest task on the page while planning, ${rounds} times (0: none over 50)`, {
        value: longestMs,
        unit: 'ms',
        bar: 100,
        digits: 0,
      }),
    ];
  } finally {
    await browser.close();
    await shop.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
