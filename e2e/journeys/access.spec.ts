/** Every main view: readable by axe, named for people who do not see the drawing, nothing to scroll at the bench. */
import { lead, press, readable, sentence, signIn, takeUp } from '../support/bench';
import { takeMarked } from '../support/forms';
import { expect, test } from '../support/shop';

test('the views are accessible', async ({ page, shop }) => {
  await page.goto(shop.url);
  await expect(page.getByLabel('Name')).toBeFocused();
  await readable(page);
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await readable(page);

  await takeUp(page);
  await expect(sentence(page)).toContainText('lead B of motor M3');
  await readable(page);
  expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(800);
  await press(page, '?');
  await expect(page.getByLabel('Keys of this screen')).toContainText('Other pad');
  await press(page, '?');

  for (const [key, wanted] of [
    ['7', 'Where did'],
    ['Escape', 'Solder'],
    ['8', 'Why now'],
    ['Escape', 'Solder'],
    ['*', 'What is the problem'],
    ['6', 'Other'],
    ['6', 'Which pad takes'],
  ] as const) {
    await press(page, key);
    await expect(sentence(page)).toContainText(wanted);
  }
  await readable(page);
  await press(page, 'Escape');
  await press(page, '*');
  await press(page, '1');
  await press(page, '5');
  await expect(page.getByLabel('What was seen or heard')).toBeFocused();
  await readable(page);
  await press(page, 'Escape');
  for (const ferrule of [']', ']', ']', ']']) await press(page, ferrule);
  await expect(sentence(page)).toContainText('Looking:');
  await readable(page);

  await press(page, 'Home');
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await press(page, 'b');
  await expect(page.getByRole('option', { name: /Salt-marsh bird counter/ })).toBeVisible();
  await readable(page);
  await page.keyboard.type('salt');
  await takeMarked(page, 'Quads', /Salt-marsh bird counter/);
  await expect(page.getByRole('heading', { name: 'Faults: 1, 0 open' })).toBeVisible();
  await readable(page);
});

test('the stores, the kit table and the intake sheet are accessible', async ({ page, shop }) => {
  await signIn(page, shop.url, lead);
  await expect(page.getByRole('heading', { name: 'Culvert inspector' })).toBeVisible();
  await press(page, '2');
  await expect(sentence(page)).toContainText('on the table');
  await readable(page);
  expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(800);
  await page.goto(`${page.url()}/intake`);
  await expect(page.getByRole('list', { name: 'Volts' })).toBeVisible();
  await readable(page);
  for (const [place, wanted] of [
    ['', 'Which part is wanted?'],
    ['/models/curlew-fc-30', 'Curlew 30 flight controller'],
    ['/files', 'Part models as files'],
    ['/parts', 'Which part is in hand?'],
    ['/stock', 'What lies in the drawers?'],
    ['/new-board', 'How large is it, and what is it?'],
  ] as const) {
    await page.goto(`${shop.url}/stores${place}`);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(wanted);
    await readable(page);
  }
});

test('the wiring and what belongs to it are accessible', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Culvert inspector' })).toBeVisible();
  await press(page, '2');
  await expect(sentence(page)).toContainText('on the table');
  const job = page.url();
  await press(page, 'm');
  await expect(sentence(page)).toContainText(/Which pad takes|comes off/);
  await readable(page);
  // Into each view and back: the keys, the words, nothing to scroll.
  for (const [key, wanted] of [
    ['0', 'to take off'],
    ['4', 'What is wanted'],
    ['6', 'rail'],
    ['7', 'Corner 1'],
  ] as const) {
    await press(page, key);
    await expect(sentence(page)).toContainText(wanted);
    await readable(page);
    expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(800);
    await press(page, 'Escape');
    await expect(sentence(page)).toContainText(/Which pad takes|comes off/);
  }
  await press(page, '4');
  await press(page, 'Enter');
  await expect(sentence(page)).toContainText('Take this plan', { timeout: 20_000 });
  await readable(page);
  await page.goto(`${job}/wires`);
  await expect(page.getByRole('grid', { name: 'Wires' })).toBeVisible();
  await readable(page);
  await page.goto(`${job}/set-up`);
  await expect(page.getByRole('list', { name: 'Ports' })).toBeVisible();
  await readable(page);
});
