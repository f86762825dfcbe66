import { lead, press, signIn } from '../support/bench';
import { expect, test } from '../support/shop';
test('tmp', async ({ page, shop }) => {
  await signIn(page, shop.url, lead);
  await expect(page.getByRole('heading', { name: 'Culvert inspector' })).toBeVisible();
  await press(page, '2');
  await page.waitForTimeout(1500);
  await page.goto(`${page.url()}/intake`);
  await expect(page.getByRole('list', { name: 'Room' })).toContainText('hold');
  await page.screenshot({ path: '/tmp/intake.png', fullPage: true });
  await press(page, 'w');
  await expect(page.getByRole('heading', { name: 'Weight classes' })).toBeVisible();
  await page.screenshot({ path: '/tmp/classes.png' });
});
