/** The one journey by pointer: a pad is chosen on the drawing. */
import { sentence, signIn } from '../support/bench';
import { expect, test } from '../support/shop';

test('a pad is picked on the drawing', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await page.getByRole('heading', { name: 'Vineyard frost-patrol' }).click();
  await expect(sentence(page)).toContainText('lead B of motor M3');
  await page.locator('[data-board=ESC] [data-terminal=C3]').click();
  await expect(sentence(page)).toHaveText('Where did lead B of motor M3 really go?');
  await page.getByRole('button', { name: 'It is on C3' }).click();
  await expect(sentence(page)).toHaveText('Lead B of motor M3 is on C3, planned was B3');
  await page.getByRole('button', { name: 'Freed: off C3' }).click();
  await expect(sentence(page)).toContainText('Solder lead B of motor M3 to the ESC, pad B3');
});
