/** A plan is kept as a template of the shop, offered for the next job, and retired like a model. */
import { lead, press, readable, signIn } from '../support/bench';
import { choose, fill, newQuad } from '../support/forms';
import { expect, test } from '../support/shop';

test('a template of the shop', async ({ page, shop }) => {
  await signIn(page, shop.url, lead);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  const [{ jobId }] = (await (await page.request.get(`${shop.url}/api/floor`)).json()) as [{ jobId: string }];
  await page.goto(`${shop.url}/jobs/${jobId}/intake`);
  await expect(page.getByRole('heading', { name: 'How hard and how long' })).toBeVisible();
  await press(page, 't');
  await expect(page.getByLabel('What the template is called')).toBeFocused();
  await fill(page, 'Frost patrol, as we build it');
  await expect(page.getByRole('heading', { name: 'How hard and how long' })).toBeVisible();

  await test.step('it is found under Stores, and offered for a new job', async () => {
    await press(page, 'Home');
    await expect(page.getByRole('heading', { name: 'Take one up: press its number' })).toBeVisible();
    await press(page, 's');
    await expect(page.getByLabel('Name, maker or kind')).toBeFocused();
    await press(page, 'Escape');
    await expect(page.getByLabel('Name, maker or kind')).not.toBeFocused();
    await press(page, 't');
    const kept = page.getByRole('list', { name: 'Templates' });
    await expect(kept).toContainText('kept by Oda Quill');
    await readable(page);
    await press(page, 'Escape');
    await page.goto(shop.url);
    await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
    await newQuad(page, 'Holm Weir Company', 'Frost watcher');
    // A choice is called by what is taken, then its label; the parts of the template are called after it as well.
    await choose(page, /Template$/, 'Frost patrol');
  });

  await test.step('retired, it is offered no more', async () => {
    await page.goto(`${shop.url}/stores/templates`);
    await page.getByRole('button', { name: 'Retire: Frost patrol, as we build it' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'Templates' })).toContainText('Frost patrol, as we build it, retired');
    await page.goto(shop.url);
    await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
    await newQuad(page, 'Holm Weir Company', 'Second watcher');
    await expect(page.getByRole('radio', { name: /serial receiver/ })).toBeVisible();
    await expect(page.getByRole('radio', { name: 'Frost patrol, as we build it' })).toHaveCount(0);
  });
});
