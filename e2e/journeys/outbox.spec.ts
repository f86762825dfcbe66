/** What a tablet keeps: refused, poisoned, damaged, without room, or of somebody who has left; nothing is lost. */
import type { Page } from '@playwright/test';
import { answer, jobNamed, lead, logOf, press, readable, sentence, signIn, takeUp } from '../support/bench';
import { expect, test } from '../support/shop';

const records = '**/api/quads/*/records';

/** The next batches are answered like this instead of by the server. */
async function answerRecords(page: Page, times: number, status: number, body: object): Promise<void> {
  let left = times;
  await page.route(records, async (route) => {
    if (route.request().method() !== 'POST' || left-- <= 0) return route.fallback();
    await route.fulfill({ status, json: body });
  });
}

const alarm = (page: Page) => page.locator('header').getByRole('alert');

test('a refused record is said on every screen with its reason, kept, and holds up nobody', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await takeUp(page);
  await answerRecords(page, 1, 422, { code: 'x', message: 'The part has gone', path: null, context: null });
  await press(page, 'Enter');
  await expect(alarm(page)).toContainText('1 record not stored: The part has gone');
  // It is in effect no more; the next one goes through.
  await expect(sentence(page)).toContainText('lead B of motor M3');
  await answer(page, 'Enter');
  await expect(page.locator('header').getByRole('status')).toContainText('saved');
  await page.reload();
  await expect(sentence(page)).toBeVisible();
  await expect(alarm(page)).toContainText('The part has gone');
  await press(page, 'Home');
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await expect(alarm(page)).toContainText('The part has gone');
  await alarm(page).getByRole('link').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Refused' })).toContainText('Bram Tolley');
  await readable(page);
  await page.getByRole('button', { name: 'Let it go' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Let it go for good?' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Everything is stored');
  await expect(alarm(page)).toHaveCount(0);
});

test('one batch on which the server fails is set aside, and the others go on', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await takeUp(page);
  const { quadId } = await jobNamed(page, shop.url, 'Vineyard frost-patrol');
  let poisoned: string | null = null;
  await page.route(records, async (route) => {
    const sent = route.request().postDataJSON() as { records: { id: string }[] } | null;
    if (!sent) return route.fallback();
    poisoned ??= sent.records[0]!.id;
    if (sent.records[0]!.id !== poisoned) return route.fallback();
    await route.fulfill({ status: 500, json: { code: 'server.failed', message: 'no', path: null, context: null } });
  });
  await answer(page, 'Enter');
  await answer(page, 'Enter');
  await expect(alarm(page)).toContainText('the server fails on 1 kept here', { timeout: 20_000 });
  await expect(page.locator('header').getByRole('status')).toContainText('kept here: 1');
  await page.unroute(records);
  await page.goto(`${shop.url}/kept`);
  await press(page, 'Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Everything is stored');
  const log = await logOf(page, shop.url, quadId);
  expect(log.filter(({ id }) => id === poisoned)).toHaveLength(1);
});

test('a damaged entry and a full storage are said, and nothing is blank', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await page.evaluate(() => localStorage.setItem('junctor.outbox.0', '{"quadId":"q","rec'));
  await page.reload();
  await takeUp(page);
  await expect(alarm(page)).toContainText('1 kept here cannot be read');
  // From now on the browser takes nothing more.
  await page.evaluate(() => {
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.context().setOffline(true);
  await answer(page, 'Enter');
  await expect(alarm(page)).toContainText('storage is full: keep this page open until it is saved');
  await page.context().setOffline(false);
  await expect(page.locator('header').getByRole('status')).toContainText('saved', { timeout: 20_000 });
  await expect(alarm(page)).toContainText('1 kept here cannot be read');
});

test('what somebody recorded before they left arrives as theirs', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await takeUp(page);
  const { quadId } = await jobNamed(page, shop.url, 'Vineyard frost-patrol');
  await page.context().setOffline(true);
  await answer(page, 'Enter');
  await expect(page.locator('header').getByRole('status')).toContainText('kept here: 1');
  // Meanwhile a lead says that Bram has left: his session ends with that.
  const elsewhere = await page.request.storageState();
  expect(elsewhere.cookies).toHaveLength(1);
  const { request } = page;
  const device = { id: '0199aaaa-0000-7000-8000-000000000001', label: 'desk' };
  await request.post(`${shop.url}/api/session`, { data: { ...lead, device } });
  const people = (await (await request.get(`${shop.url}/api/people`)).json()) as { id: string; name: string }[];
  const bram = people.find(({ name }) => name === 'Bram Tolley')!;
  expect((await request.post(`${shop.url}/api/people/${bram.id}/retire`)).status()).toBe(204);
  await page.context().setOffline(false);
  await page.reload();
  await expect(page.locator('header').getByRole('status')).toContainText('saved', { timeout: 20_000 });
  const last = (await logOf(page, shop.url, quadId)).at(-1)!;
  expect([last.person, last.body.do]).toEqual(['Bram Tolley', 'land']);
});
