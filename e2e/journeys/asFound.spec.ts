/**
 * A quad that came in is not what was believed: a wrong pad found, what it means, how it is set right; findings waived
 * by whoever may.
 */
import type { Page } from '@playwright/test';
import { lead, logOf, press, quadId, readable, sentence, signIn, under } from '../support/bench';
import { expect, test } from '../support/shop';

async function toWire(page: Page, words: RegExp): Promise<void> {
  for (let count = 0; count < 80 && !words.test(await sentence(page).innerText()); count++) await press(page, '+');
  await expect(sentence(page)).toHaveText(words);
}

async function toCulvertWiring(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'Culvert inspector' })).toBeVisible();
  await press(page, '2');
  await expect(sentence(page)).toContainText('cable tie');
  await press(page, 'm');
  await expect(sentence(page)).toContainText(/Which pad takes|comes off/);
}

test('a wrong pad found on an incoming quad', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await toCulvertWiring(page);
  const finding = page.getByRole('region', { name: 'Finding' });

  await test.step('the old receiver’s supply is really on the battery pad: what that means is said before it is kept', async () => {
    await toWire(page, /the red wire is on 5V and comes off/);
    await expect(under(page)).toContainText('Is it really there?');
    for (let count = 0; count < 12 && !(await page.getByText('Found: it is on B+').isVisible()); count++)
      await press(page, count % 2 ? 'ArrowUp' : 'ArrowRight');
    await expect(page.getByText('Found: it is on B+')).toBeVisible();
    const meaning = page.getByRole('region', { name: 'If it is there now' });
    await expect(meaning).toContainText('Destroys hardware');
    await press(page, 'Enter');
    await expect(meaning).toBeVisible();
    await press(page, '0');
    await expect(sentence(page)).toHaveText(/the red wire is on B\+ and comes off/);
  });

  await test.step('it is kept as found, said of the quad as it came in, and nobody can waive it', async () => {
    await expect(page.getByRole('status').first()).toHaveText(/^saved/);
    const log = await logOf(page, shop.url, await quadId(page, shop.url, 'Culvert'));
    expect(log.at(-1)).toMatchObject({ how: 'found', body: { do: 'land', as: { at: { ref: 'FC.BP' } } } });
    for (let count = 0; count < 6 && !(await finding.innerText()).includes('Destroys hardware'); count++)
      await press(page, 'n');
    await expect(finding).toContainText('Said of the quad as it came in, until it is moved');
    await press(page, '*');
    await expect(finding).toBeVisible();
  });

  await test.step('all wires of the board show it, and the job’s own steps take it off', async () => {
    await press(page, '0');
    await expect(sentence(page)).toContainText('7 of 7 to take off');
    await press(page, '4');
    const board = page.getByRole('group', { name: /FC with its wires/ });
    await expect(board).toContainText('B+ to RX 5V: comes off');
    await expect(board).toContainText('T4 to GPS R: goes on');
    await expect(board).not.toContainText('stays');
    await press(page, 'ArrowDown');
    await press(page, '+');
    await expect(sentence(page)).toContainText('to land');
    await readable(page);
    await press(page, 'Escape');
    await press(page, 'Escape');
    await expect(sentence(page)).toContainText('cable tie');
    await press(page, ']');
    for (let count = 0; count < 40 && !/red wire off .*B\+/.test(await sentence(page).innerText()); count++)
      await press(page, '+');
    await expect(sentence(page)).toContainText(/Looking: Take the red wire off .*B\+/);
  });
});

test('a finding is waived by whoever may', async ({ page, shop }) => {
  const finding = page.getByRole('region', { name: 'Finding' });
  await test.step('what works badly by a technician, with a reason, and no longer', async () => {
    await signIn(page, shop.url);
    await toCulvertWiring(page);
    await expect(finding).toContainText('Works badly');
    await press(page, '*');
    await expect(sentence(page)).toHaveText('May this stay as it is?');
    await press(page, 'Enter');
    await expect(sentence(page)).toHaveText('May this stay as it is?');
    await press(page, '1');
    await readable(page);
    await press(page, 'Enter');
    await expect(finding).toContainText('Waived by Bram Tolley: Measured: it works here');
    await press(page, '*');
    await expect(sentence(page)).toHaveText('Waived by Bram Tolley. Does that still hold?');
    await press(page, 'Enter');
    await expect(finding).not.toContainText('Waived');
  });

  await test.step('what will not work only by a lead', async () => {
    await toWire(page, /the yellow wire of the receiver’s lead\? Planned: TX/);
    for (let count = 0; count < 20 && !(await under(page).innerText()).includes('would not work yet'); count++)
      await press(page, 'ArrowUp');
    await press(page, 'Enter');
    await expect(finding).toContainText('Will not work');
    await press(page, '*');
    await expect(under(page)).toContainText('only a lead can waive that');
    await press(page, '1');
    await press(page, 'Enter');
    await expect(sentence(page)).toHaveText('May this stay as it is?');
    await page.getByRole('button', { name: 'Sign out' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Name')).toBeFocused();
    await signIn(page, shop.url, lead);
    await toCulvertWiring(page);
    await expect(finding).toContainText('Will not work');
    await press(page, '*');
    await page.getByLabel('Why, by key or in your own words').fill('bench rig, never flown');
    await page.keyboard.press('Enter');
    for (let count = 0; count < 6 && !(await finding.innerText()).includes('bench rig'); count++)
      await press(page, 'n');
    await expect(finding).toContainText('Waived by Oda Quill: bench rig, never flown');
  });
});

test('an old part stays in, a wish is let go and asked for again', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await toCulvertWiring(page);
  await press(page, '4');
  const wishes = page.getByRole('list', { name: 'Wishes' });
  for (let count = 0; count < 6; count++) await press(page, 'ArrowDown');
  await expect(under(page)).toContainText('comes off. Hard to reach?');
  await press(page, '1');
  await expect(wishes).toContainText('video VTX2');
  for (let count = 0; count < 2; count++) await press(page, 'ArrowUp');
  await answerRow(page, '5', wishes, 'positioning GPS, not asked for');
  await press(page, 'ArrowDown');
  await press(page, 'ArrowUp');
  await answerRow(page, '1', wishes, 'positioning GPS matters');
  await press(page, 'Enter');
  await expect(sentence(page)).toHaveText('Everything wanted is served. Take this plan?', { timeout: 20_000 });
  await expect(page.getByRole('list', { name: 'What changes' })).toContainText('stays in, dormant: VTX');
  await press(page, 'Enter');
  await expect(sentence(page)).toContainText(/Which pad takes|comes off/);
  await press(page, '4');
  await expect(wishes).toContainText('VTX, as it is stays in, unused');
});

/** Presses a key of a line and waits for what it says then. */
async function answerRow(page: Page, key: string, list: ReturnType<Page['getByRole']>, message: string): Promise<void> {
  await press(page, key);
  await expect(list).toContainText(message);
}
