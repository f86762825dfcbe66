/** A reload, a killed server, a killed database, a doubled key press, a lost connection: nothing is lost or doubled. */
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { answer, logOf, press, quadId, sentence, signIn, takeUp } from '../support/bench';
import { expect, test } from '../support/shop';

test.use({ durable: true });

const saved = (page: Page) => expect(page.getByRole('status')).toHaveText(/^saved/);

test('what was recorded survives', async ({ page, shop, context }) => {
  await signIn(page, shop.url);
  const quad = await quadId(page, shop.url, 'Vineyard');
  await takeUp(page);
  await expect(sentence(page)).toContainText('lead B of motor M3');
  const count = async () => (await logOf(page, shop.url, quad)).length;
  const before = await count();

  await test.step('a doubled key press is one record', async () => {
    await press(page, 'Enter');
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('lead C of motor M3');
    await saved(page);
    expect(await count()).toBe(before + 1);
  });

  await test.step('without a connection the work goes on, and a reload keeps it', async () => {
    await context.setOffline(true);
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Look at the 3 joints of motor M3');
    await expect(page.getByRole('status')).toContainText('kept here: 1');
    await context.setOffline(false);
    await page.reload();
    await expect(sentence(page)).toHaveText('Look at the 3 joints of motor M3');
    await saved(page);
    expect(await count()).toBe(before + 2);
  });

  await test.step('with the server killed the work goes on; it arrives when the server is back', async () => {
    await shop.killServer();
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Put motor M4 in its place');
    await expect(page.getByRole('status')).toContainText('kept here: 3');
    await shop.startAgain();
    await saved(page);
    expect(await count()).toBe(before + 5);
  });

  await test.step('with the database killed likewise', async () => {
    shop.killDatabase();
    await answer(page, 'Enter');
    await expect(sentence(page)).toContainText('lead A of motor M4');
    await saved(page);
    const log = await logOf(page, shop.url, quad);
    expect(log).toHaveLength(before + 6);
    expect(new Set(log.map(({ id }) => id)).size).toBe(log.length);
    expect(log.at(-1)!.body).toMatchObject({ do: 'fit', slot: 'M4' });
  });
});

test('a shop made again from its backup is sent what it has forgotten', async ({ page, shop, context }) => {
  const keeping = (...given: string[]) =>
    execFileSync('./junctor', given, { env: { ...process.env, JUNCTOR_DATA: shop.folder }, encoding: 'utf8' });
  const backup = join(shop.folder, 'of-this-morning');
  await signIn(page, shop.url);
  const quad = await quadId(page, shop.url, 'Vineyard');
  await takeUp(page);
  await saved(page);
  expect(keeping('backup', backup)).toContain('sha256');
  const before = await logOf(page, shop.url, quad);
  await answer(page, 'Enter');
  await answer(page, 'Enter');
  await saved(page);
  const whole = await logOf(page, shop.url, quad);
  expect(whole).toHaveLength(before.length + 2);

  await context.setOffline(true);
  await shop.stop();
  expect(keeping('restore', backup, '--yes')).toContain('Tablets send again');
  await shop.startAgain();
  const forgotten = await logOf(page, shop.url, quad);
  expect(forgotten).toHaveLength(before.length);

  // The tablet hears it with the next answer it gets, and needs nobody.
  await context.setOffline(false);
  await expect.poll(async () => (await logOf(page, shop.url, quad)).length).toBe(whole.length);
  await expect(sentence(page)).toHaveText('Look at the 3 joints of motor M3');
  await saved(page);
  const again = await logOf(page, shop.url, quad);
  expect(again.map(({ id, seq }) => [id, seq])).toEqual(whole.map(({ id, seq }) => [id, seq]));
});
