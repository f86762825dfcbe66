/** Three sizes and two themes: readable by axe, no label leaves its button, nothing to scroll at the bench. */
import type { Page } from '@playwright/test';
import { jobNamed, readable, sentence, signIn, takeUp } from '../support/bench';
import { expect, test } from '../support/shop';

const sizes = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 820, height: 1180 },
] as const;
const themes = ['light', 'dark'] as const;

/** Buttons whose words need more room than they have. */
function overflowing(page: Page): Promise<string[]> {
  return page.evaluate(() =>
    [...document.querySelectorAll('button')]
      .filter((button) => button.scrollWidth > button.clientWidth + 1 || button.scrollHeight > button.clientHeight + 1)
      .map((button) => button.innerText),
  );
}

for (const size of sizes)
  for (const theme of themes)
    test(`${size.width} x ${size.height}, ${theme}`, async ({ page, shop }) => {
      await page.setViewportSize(size);
      await page.emulateMedia({ colorScheme: theme });
      await signIn(page, shop.url);
      await takeUp(page);
      const { id, quadId } = await jobNamed(page, shop.url, 'Vineyard frost-patrol');
      const job = `${shop.url}/jobs/${id}`;
      for (const path of ['', '/wiring', '/planner', '/supplies', '/boards/FC', '/motors', '?slip=ESC.B3'])
        await test.step(path || 'bench', async () => {
          await page.goto(`${job}${path}`);
          await expect(sentence(page)).not.toBeEmpty();
          await readable(page);
          expect(await overflowing(page)).toEqual([]);
          const { scrollHeight, scrollWidth } = await page.evaluate(() => ({
            scrollHeight: document.documentElement.scrollHeight,
            scrollWidth: document.documentElement.scrollWidth,
          }));
          expect([scrollHeight <= size.height, scrollWidth <= size.width]).toEqual([true, true]);
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
          await readable(page);
          expect(await overflowing(page)).toEqual([]);
          expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(size.width);
        });
    });
