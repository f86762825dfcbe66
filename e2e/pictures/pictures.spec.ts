/** One current picture of each main view, from the demo shop. */
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { answer, enterUntil, press, sentence, signIn, takeUp, touchUntil } from '../support/bench';
import { expect, test } from '../support/shop';

const folder = join(import.meta.dirname, '../../docs/screenshots');
const shoot = (page: Page, name: string) => page.screenshot({ path: join(folder, `${name}.png`) });

async function toMainLeads(page: Page): Promise<void> {
  await enterUntil(page, /Volts across the main leads/);
  for (const key of '0.004') await press(page, key);
  await press(page, 'Enter');
  await press(page, '1');
  await answer(page, '1');
}

test('the story, view by view', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await shoot(page, 'floor');
  await takeUp(page);
  await press(page, '7');
  await press(page, 'ArrowRight');
  await answer(page, 'Enter');
  await shoot(page, 'wrong-pad');
  await answer(page, '1');
  await answer(page, 'Enter');
  await shoot(page, 'look');
  await enterUntil(page, /yellow wire to the flight controller/);
  await shoot(page, 'bench');
  for (const key of ['*', '1', '3']) await press(page, key);
  await expect(sentence(page)).toContainText('Which pad takes');
  await shoot(page, 'wiring');
  await press(page, 'Escape');
  await toMainLeads(page);
  await touchUntil(page, /Black on ESC B4, red on ESC C4/);
  await expect(page.getByTestId('expected')).toHaveText('does not stop');
  await shoot(page, 'continuity');
  await answer(page, '0');
  await answer(page, '0');
  await shoot(page, 'stop');
  await press(page, '0');
  await expect(sentence(page)).toContainText('Black on');
  await expect(page.getByTestId('expected')).toHaveText('does not stop');
  await answer(page, '4');
  await touchUntil(page, /propellers/);
  await enterUntil(page, /Which limiter/);
  await press(page, '1');
  await press(page, '1');
  for (const key of '23.1') await press(page, key);
  await answer(page, 'Enter');
  await answer(page, 'Enter');
  await answer(page, 'Enter');
  for (const key of '124') await press(page, key);
  await shoot(page, 'power');
  for (const key of '356') await press(page, key);
  await answer(page, 'Enter');
  await expect(sentence(page)).toContainText('Every check planned here has passed');
  await shoot(page, 'proved');
  await press(page, 'Home');
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await press(page, 'b');
  await page.getByRole('link', { name: 'Salt-marsh bird counter' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Faults: 1, 0 open' })).toBeVisible();
  await shoot(page, 'book');
  await page.goto(`${shop.url}/new`);
  await expect(page.getByLabel('Customer', { exact: true })).toBeFocused();
  await shoot(page, 'new-job');
});

test('a short', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await takeUp(page);
  await toMainLeads(page);
  await touchUntil(page, /Black on BAT −, red on BAT \+/);
  await expect(page.getByTestId('expected')).toHaveText('silent or chirp');
  await press(page, '4');
  await expect(page.getByRole('alert')).toContainText('Short between');
  await shoot(page, 'short');
});
