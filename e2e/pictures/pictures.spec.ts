/** One current picture of each main view, from the demo shop. */
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { answer, enterUntil, lead, press, proveMeter, sentence, signIn, takeUp, touchUntil } from '../support/bench';
import { newQuad, pick, takeMarked, typeInto } from '../support/forms';
import { expect, test } from '../support/shop';

const folder = join(import.meta.dirname, '../../docs/screenshots');
const shoot = (page: Page, name: string) => page.screenshot({ path: join(folder, `${name}.png`) });

async function toMainLeads(page: Page): Promise<void> {
  await enterUntil(page, /Volts across the main leads/);
  await proveMeter(page);
}

test('the story, view by view', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await shoot(page, 'floor');
  await takeUp(page);
  await press(page, '7');
  await press(page, 'ArrowRight');
  await answer(page, 'Enter');
  await answer(page, '1');
  await answer(page, 'Enter');
  await enterUntil(page, /yellow wire to the flight controller/);
  await shoot(page, 'bench');
  await toMainLeads(page);
  await touchUntil(page, /Diode volts/);
  await page.keyboard.press('l');
  await expect(page.getByRole('list', { name: 'Touches' })).toBeVisible();
  await shoot(page, 'touches');
  await page.goBack();
  await touchUntil(page, /^Black on ESC [ABC]\d, red on ESC [ABC]\d/);
  await expect(page.getByTestId('expected')).toHaveText('does not stop');
  await shoot(page, 'continuity');
  await answer(page, '0');
  await answer(page, '0');
  await expect(page.getByText('Trying every fault')).toBeHidden();
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
  for (let sign = 0; sign < 3; sign++) await press(page, 'Enter');
  await shoot(page, 'power');
  await enterUntil(page, /Pull the plug, then record/);
  await enterUntil(page, /Weigh the quad dry/);
  await answer(page, '+');
  await answer(page, '+');
  await answer(page, 'Enter');
  await expect(sentence(page)).toContainText('Everything of this job is done');
  await shoot(page, 'proved');
  await press(page, 'Home');
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await press(page, 'b');
  await expect(page.getByLabel('First letters of the quad’s name')).toBeFocused();
  await page.keyboard.type('salt');
  await takeMarked(page, 'Quads', /Salt-marsh bird counter/);
  await expect(page.getByRole('heading', { name: 'Faults: 1, 0 open' })).toBeVisible();
  await shoot(page, 'book');
});

test('the stores and a new board', async ({ page, shop }) => {
  await signIn(page, shop.url, lead);
  await expect(page.getByRole('heading', { name: 'Culvert inspector' })).toBeVisible();
  await press(page, '2');
  await expect(sentence(page)).toContainText('cable tie');
  await shoot(page, 'kit');
  await page.goto(`${page.url()}/intake`);
  await expect(page.getByRole('list', { name: 'Room' })).toContainText('hold');
  await expect(page.getByRole('list', { name: 'Weight', exact: true })).toContainText('ready to fly');
  await shoot(page, 'intake');
  await page.goto(`${shop.url}/stores/models/curlew-fc-30`);
  await expect(page.getByRole('list', { name: 'Signature' })).toContainText('5V against ground');
  await shoot(page, 'model');
  await page.goto(`${shop.url}/stores/new-board`);
  await page.getByLabel('What it is called').waitFor();
  await page.keyboard.type('Whinchat 36 flight controller');
  await page.keyboard.press('Tab');
  await page.keyboard.type('Skerrie Boards');
  await page.keyboard.press('Enter');
  for (const [labels, steps] of [
    ['T1 R1 5V G S T2 R2 5V G VBAT', 0],
    ['CAM VTX G BZ+ BZ- LED 9V G CUR TLM', 1],
    ['S1 S2 S3 S4', 2],
  ] as const) {
    await expect(page.getByLabel(/Labels in order/)).toBeFocused();
    await page.keyboard.type(labels);
    await page.keyboard.press('Tab');
    for (let step = 0; step < steps; step++) await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
    await expect(page.getByText(labels)).toBeVisible();
  }
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('question')).toContainText('printed S');
  await shoot(page, 'new-board');
});

test('the planner and the supplies', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Glasshouse scout' })).toBeVisible();
  await press(page, '4');
  await expect(sentence(page)).toBeVisible();
  await press(page, 'm');
  await expect(page.getByRole('region', { name: 'Finding' })).toContainText('light strip may not see');
  await shoot(page, 'wiring');
  await press(page, '4');
  await press(page, 'Enter');
  await expect(sentence(page)).toContainText('Take this plan', { timeout: 20_000 });
  await press(page, 'ArrowDown');
  await press(page, 'ArrowDown');
  await shoot(page, 'planner');
  await press(page, 'Escape');
  await press(page, '6');
  await press(page, 'ArrowDown');
  await press(page, 'ArrowDown');
});

test('the layout', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await takeUp(page);
  await page.goto(`${page.url()}/layout`);
  await expect(page.getByRole('list', { name: 'Margins' })).toBeVisible();
  await shoot(page, 'layout');
});

test('a heap of parts', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await newQuad(page, 'Chapel Roof Trust', 'Roof survey quad', 'a heap of parts');
  await page.keyboard.press('Enter');
  for (const typed of ['survey', '4 x marl 2812', '4 x avocet', 'dipper', 'dunlin', 'wigeon digital', 'egret']) {
    await expect(page.getByLabel('Put on the heap')).toBeFocused();
    await page.keyboard.type(typed);
    await takeMarked(page, 'Found', /./);
    await expect(page.getByLabel('Put on the heap')).toHaveValue('');
  }
  await press(page, 'Escape');
  await press(page, 'Escape');
  await expect(sentence(page)).toContainText('It can be wired', { timeout: 30_000 });
  await press(page, 'ArrowUp');
  await expect(page.getByText('in rear bay, turned 90° to the right')).toBeVisible();
  await shoot(page, 'compose');
});

test('a repair: looking for the fault, a part replaced, the sheet', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await page.goto(`${shop.url}/new`);
  await page.getByLabel('Customer', { exact: true }).waitFor();
  await page.keyboard.type('Reed');
  await takeMarked(page, 'Known customers', /Reedmere/);
  await takeMarked(page, 'Known quads', /bird counter/);
  await typeInto(page, 'In a few words', 'crashed on the mud');
  await pick(page, 'repair');
  await page.getByRole('button', { name: 'Open the job' }).focus();
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('What does the customer say');
  for (const key of ['2', '1', '4', '1']) await press(page, key);
  await press(page, 'Enter');
  await press(page, '1');
  await page.keyboard.type('new propellers');
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toContainText('Find it.');
  await press(page, '1');
  for (const letters of ['bat −', 'bat +']) {
    await page.getByRole('textbox', { name: 'Terminal' }).fill('');
    await page.keyboard.type(letters);
    await page.keyboard.press('Enter');
    await expect(sentence(page)).not.toContainText(letters === 'bat −' ? 'Black probe: on' : 'Red probe: on');
  }
  await press(page, '2');
  await press(page, '2');
  await press(page, 'Enter');
  await expect(page.getByRole('alert')).toContainText('Short between + and −');
  await press(page, 'Enter');
  await expect(sentence(page)).toContainText('BAT − to BAT +: 2 Ω');
  await press(page, 'Enter');
  await press(page, '2');
  await page.keyboard.type('pull plug esc');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await press(page, 'Escape');
  await expect(page.getByRole('list', { name: 'Open plugs and lifted leads' })).toContainText('ESC J1');
  await shoot(page, 'find');
  const job = page.url().replace(/\/find.*/, '');
  await page.goto(`${job}/replace/ESC`);
  await expect(page.getByRole('region', { name: 'What it takes' })).toBeVisible();
  await shoot(page, 'replace');
  await page.goto(`${job}/sheet`);
  await expect(page.getByRole('list', { name: 'What you told us' })).toBeVisible();
  await shoot(page, 'sheet');
});
