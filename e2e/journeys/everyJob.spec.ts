/** Every open job of the demo shop, walked to its close by what stands on the pages alone. */
import { logOf, press, quadId, sentence, signIn } from '../support/bench';
import { expect, test } from '../support/shop';
import { sayExpectedFirst, walkJob } from '../support/walkJob';

test.describe.configure({ timeout: 420_000 });

for (const quad of ['Vineyard frost-patrol', 'Culvert inspector', 'Rope-line carrier', 'Glasshouse scout']) {
  test(`${quad}, to its close`, async ({ page, shop }) => {
    await signIn(page, shop.url);
    await expect(page.getByRole('heading', { name: quad })).toBeVisible();
    await sayExpectedFirst(page, shop.url, quad);
    const open = await page
      .getByRole('listitem')
      .filter({ has: page.getByRole('heading', { name: quad }) })
      .innerText();
    await press(page, /^\s*(\d)/m.exec(open)![1]!);
    await expect(sentence(page)).toBeVisible();
    const { sentences } = await walkJob(page, shop.url, quad);
    expect(sentences.at(-1)).toMatch(/^Everything of this job is done/);
    await press(page, '5');
    await expect(page.getByRole('heading', { name: quad })).toBeHidden();
    const log = await logOf(page, shop.url, await quadId(page, shop.url, quad));
    expect(log.at(-1)?.body.saw).toBe('handed over');
  });
}
