/** Three sizes and two themes: readable by axe, no label leaves its button, nothing to scroll at the bench. */
import type { Page } from '@playwright/test';
import { jobNamed, readable, sentence, signIn, takeUp } from '../support/bench';
import { expect, test } from '../support/shop';

const sizes = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 820, height: 1180 },
] as const;
const atTheBench = ['', '/wiring', '/planner', '/supplies', '/boards/FC', '/motors', '?slip=ESC.B3'];

/** Buttons whose words need more room than they have, and how much the page itself needs. */
function extent(page: Page): Promise<{ overflowing: string[]; width: number; height: number }> {
  return page.evaluate(() => ({
    overflowing: [...document.querySelectorAll('button')]
      .filter((button) => button.scrollWidth > button.clientWidth + 1 || button.scrollHeight > button.clientHeight + 1)
      .map((button) => button.innerText),
    width: document.documentElement.scrollWidth,
    height: document.documentElement.scrollHeight,
  }));
}

async function readableInBothThemes(page: Page): Promise<void> {
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme });
    await readable(page);
  }
}

for (const size of sizes)
  test(`${size.width} x ${size.height}`, async ({ page, shop }) => {
    // Some fifty looks of axe, in two themes: minutes, where other journeys run beside it.
    test.setTimeout(300_000);
    await page.setViewportSize(size);
    await signIn(page, shop.url);
    await takeUp(page);
    const { id, quadId } = await jobNamed(page, shop.url, 'Vineyard frost-patrol');
    for (const path of atTheBench)
      await test.step(path || 'bench', async () => {
        await page.goto(`${shop.url}/jobs/${id}${path}`);
        await expect(sentence(page)).not.toBeEmpty();
        await readableInBothThemes(page);
        const { overflowing, width, height } = await extent(page);
        expect([overflowing, width <= size.width, height <= size.height]).toEqual([[], true, true]);
      });
    for (const path of [
      `/jobs/${id}/intake`,
      `/jobs/${id}/set-up`,
      `/jobs/${id}/wires`,
      '/floor',
      '/stores',
      '/stores/stock',
      '/stores/parts',
      `/quads/${quadId}/book`,
      '/quads',
      '/new',
      '/kept',
    ])
      await test.step(path, async () => {
        await page.goto(`${shop.url}${path}`);
        await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(/One moment|Fetching|Looking round/);
        await readableInBothThemes(page);
        const { overflowing, width } = await extent(page);
        expect([overflowing, width <= size.width]).toEqual([[], true]);
      });
  });
