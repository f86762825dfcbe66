/** From an empty shop and a heap of parts that nobody has joined to the first joint, by keyboard alone. */
import type { Page } from '@playwright/test';
import { press, readable, sentence, signLayout, under } from '../support/bench';
import { sayExpectedFirst, walkJob } from '../support/walkJob';
import { fill, labelRow, newQuad } from '../support/forms';
import { expect, test } from '../support/shop';

test.use({ shopKind: 'empty' });

/** Puts on what is found first, with so many before its name. */
async function put(page: Page, typed: string, onHeap: RegExp): Promise<void> {
  await expect(page.getByLabel('Put on the heap')).toBeFocused();
  await page.keyboard.type(typed);
  await expect(page.getByRole('listbox', { name: 'Found' }).getByRole('option').first()).toHaveAttribute(
    'data-focused',
    'true',
  );
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'On the heap' })).toContainText(onHeap);
}

test('a heap of parts becomes a plan', async ({ page, shop }) => {
  await page.goto(shop.url);
  await expect(page.getByLabel('Name of the shop')).toBeFocused();
  await fill(page, 'Reed Lane Rotors', 'Ada Fenn', 'first of the shop');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No quad is waiting');
  await newQuad(page, 'Chapel Roof Trust', 'Roof survey quad', 'a heap of parts');
  await page.keyboard.press('Enter');
  await expect(sentence(page)).toHaveText('What lies on the bench for this aircraft?');

  await test.step('parts are put on by name, with what is open said at once', async () => {
    await put(page, 'survey', /Coppice 8-inch survey frame/);
    await expect(sentence(page)).toHaveText('0 motors; Coppice 8-inch survey frame has 4 places');
    await page.keyboard.type('1000 x marl 2812');
    await page.keyboard.press('Enter');
    await expect(under(page)).toHaveText('1000 of one sort: no aircraft has more than 16.');
    await page.keyboard.press('Control+A');
    await put(page, '4 x marl 2812', /4 x Marl 2812 motor/);
    await put(page, '4 x avocet', /4 x Avocet/);
    await expect(sentence(page)).toHaveText('Nothing that runs the flight software');
  });

  await test.step('a board that no catalogue has is drawn up from its labels on the way', async () => {
    await page.keyboard.type('whinchat');
    await expect(page.getByText('Nothing is called like that')).toBeVisible();
    await press(page, 'Escape');
    await press(page, 'n');
    await expect(page.getByLabel('What it is called')).toBeFocused();
    await fill(page, 'Whinchat 36 flight controller', 'Skerrie Boards');
    await labelRow(page, 'T1 R1 5V G T2 R2 5V G VBAT G', 0);
    await labelRow(page, 'CAM VTX G BZ+ BZ- LED 9V G', 1);
    await labelRow(page, 'S1 G S2 G S3 G S4 G', 2);
    await labelRow(page, 'T6 R6 SDA SCL', 3);
    await page.keyboard.press('Enter');
    await expect(page.getByText('On to the first measurement')).toBeVisible();
    await press(page, 'Enter');
    await expect(page.getByTestId('question')).toContainText('Ohms from');
    await press(page, 'Escape');
    await press(page, '6');
    await page.getByRole('button', { name: /Store Whinchat/ }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'On the heap' })).toContainText('Whinchat 36 flight controller');
  });

  await test.step('what it would be is said with every part: what is taken besides, what clashes and how out of it', async () => {
    await press(page, 'a');
    await put(page, 'dunlin', /Dunlin 2/);
    await put(page, 'egret', /Egret/);
    await put(page, 'wigeon digital', /Wigeon digital camera/);
    await press(page, 'Escape');
    await press(page, 'Escape');
    const besides = page.getByRole('list', { name: 'On the heap' });
    await expect(besides).toContainText('Sluice distribution board', { timeout: 30_000 });
    await expect(besides).toContainText('Burr battery lead');
    await readable(page);
    await expect(sentence(page)).toHaveText('It can be wired, and all of it has room. Take this plan?');
    await press(page, 'ArrowUp');
    await press(page, 'ArrowUp');
    await expect(page.getByText('in rear bay, turned 90° to the right')).toBeVisible();
    await press(page, 'Enter');
  });

  await test.step('its layout opens; from there to the first joint nothing else is asked for', async () => {
    await expect(page.getByRole('list', { name: 'Margins' })).toBeVisible();
    await signLayout(page);
    await sayExpectedFirst(page, shop.url, 'Roof survey quad');
    await page.reload();
    const { sentences } = await walkJob(page, shop.url, 'Roof survey quad', { until: /^Solder/ });
    expect(sentences).toContain('Put the frame in its place');
    await expect(sentence(page)).toHaveText(/^Solder/);
  });
});
