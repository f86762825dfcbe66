/**
 * A large catalogue on the real server and in Chromium: import of 2,000 models, and finding one as its name is typed.
 */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { shippedModels } from '@junctor/catalogue';
import { runShop } from '@junctor/server/testing';
import { chromium } from '@playwright/test';
import type { Measurement } from '@junctor/proof';
import { atMost } from '@junctor/proof';

const count = 2000;

export async function stores(): Promise<Measurement[]> {
  const folder = mkdtempSync(join(tmpdir(), 'junctor-measure-'));
  const shop = await runShop(folder, {});
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(shop.url);
    await page.getByLabel('Name').fill('Oda Quill');
    await page.getByLabel('Password').fill('saltpan-lead');
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Vineyard frost-patrol' }).waitFor();
    const file = join(folder, 'large.json');
    writeFileSync(file, JSON.stringify({ format: 'junctor-catalogue', version: 1, models: large() }));
    await page.goto(`${shop.url}/stores/files`);
    const from = performance.now();
    await page.getByLabel('Catalogue file').setInputFiles(file);
    await page.getByRole('progressbar').waitFor();
    await page.getByText(`${count} part models added`).waitFor({ timeout: 60_000 });
    const importS = (performance.now() - from) / 1000;
    await page.goto(`${shop.url}/stores`);
    await page.getByText(`${count + shippedModels().length} part models`).waitFor();
    // From the key to the list on the page, inside the page: what the person waits for.
    const typing = await page.evaluate(async () => {
      const field = document.querySelector<HTMLInputElement>('input[name="q"]')!;
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
      const times: number[] = [];
      for (let length = 1; length <= 12; length++) {
        const start = performance.now();
        set.call(field, 'controller 7'.slice(0, length));
        field.dispatchEvent(new Event('input', { bubbles: true }));
        await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
        times.push(performance.now() - start);
      }
      return times;
    });
    return [
      atMost(`import of ${count} part models, file to answer:`, { value: importS, unit: 's', bar: 10 }),
      atMost(`find as you type in ${count + shippedModels().length} models, slowest of ${typing.length} keys:`, {
        value: Math.max(...typing),
        unit: 'ms',
        bar: 50,
      }),
    ];
  } finally {
    await browser.close();
    await shop.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The shipped market over and over, under new names. */
function large() {
  const shipped = shippedModels();
  return Array.from({ length: count }, (_, index) => {
    const model = shipped[index % shipped.length]!;
    return { ...model, id: `${model.id}-copy-${index}`, name: `${model.name} ${index}` };
  });
}
