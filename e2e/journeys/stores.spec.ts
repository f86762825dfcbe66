/**
 * Parts in hand and stock, by keyboard: a part entered and found out about, stock out and in as CSV, an offcut put
 * back.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { press, signIn } from '../support/bench';
import { choose, pick, takeMarked, typeInto } from '../support/forms';
import { expect, test } from '../support/shop';

test('parts in hand and stock', async ({ page, shop }, info) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await press(page, 's');
  await expect(page.getByLabel('Name, maker or kind')).toBeFocused();
  await press(page, 'Escape');
  await press(page, 'p');

  await test.step('a used receiver of a customer is entered by the first letters of its model', async () => {
    await expect(page.getByLabel('First letters of model, serial or batch')).toBeFocused();
    await page.getByLabel('Part model', { exact: true }).focus();
    await page.keyboard.type('goldeneye');
    await takeMarked(page, 'Part models found', /Goldeneye/);
    await expect(page.getByText('Goldeneye small receiver, 3.3 V another')).toBeVisible();
    await typeInto(page, 'Serial', 'GE-77');
    await typeInto(page, 'Weight, g', 'light');
    await page.keyboard.press('Enter');
    await expect(page.getByText('a weight is a number')).toBeVisible();
    await typeInto(page, 'Weight, g', '1,2');
    await pick(page, 'used');
    await typeInto(page, 'Whose it is; empty: the shop’s', 'Fell');
    await takeMarked(page, 'Customers found', 'Fellside Cableways');
    await expect(page.getByText('It belongs to Fellside Cableways')).toBeVisible();
    await page.getByRole('button', { name: 'Put it in the stores' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'Parts in hand' })).toContainText(
      'Goldeneye small receiver, 3.3 V, GE-77',
    );
    await expect(page.getByRole('list', { name: 'Parts in hand' })).toContainText('of Fellside Cableways');
  });

  await test.step('what is found out about it is kept, with a signature that says stop', async () => {
    await page.getByRole('link', { name: /GE-77/ }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Goldeneye small receiver, 3.3 V, serial GE-77');
    await pick(page, 'doubtful');
    await typeInto(page, 'Why', 'antenna foot bent');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'History' })).toContainText('doubtful, antenna foot bent');
    await choose(page, 'Black G, red 3V3: 3V3 against ground must not stay on', 'does');
    await page.getByRole('button', { name: 'Keep the signature' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'History' })).toContainText(
      'signature, 1 readings, one that a good part cannot show',
    );
    await expect(page.getByText('▲ used, doubtful, belongs to Fellside Cableways')).toBeVisible();
  });

  await test.step('stock goes out as CSV, and comes back counted; a mistake takes nothing of the file', async () => {
    await page.goto(`${shop.url}/stores/stock`);
    await expect(page.getByRole('grid', { name: 'Stock' })).toContainText('cloth tape, 19 mm110 mm');
    await press(page, 'Escape');
    const downloading = page.waitForEvent('download');
    await press(page, 'e');
    const text = readFileSync(await (await downloading).path(), 'utf8');
    const file = info.outputPath('stock.csv');
    writeFileSync(
      file,
      text
        .replace('tape:19,"cloth tape, 19 mm",mm,110', 'tape:19,"cloth tape, 19 mm",mm,2500')
        .replace('tie:100,"cable tie, 100 mm",pieces,', 'tie:100,"cable tie, 100 mm",boxes,'),
    );
    await page.getByLabel('Stock as CSV').setInputFiles(file);
    await expect(page.getByRole('list', { name: 'Faults' })).toContainText('unit is pieces, mm or g, not “boxes”');
    await expect(page.getByRole('grid', { name: 'Stock' })).toContainText('cloth tape, 19 mm110 mm');
    writeFileSync(
      file,
      text
        .replace('tape:19,"cloth tape, 19 mm",mm,110', 'tape:19,"cloth tape, 19 mm",mm,2500')
        .split('\r\n')
        .filter((line) => !line.startsWith('offcut'))
        .join('\r\n'),
    );
    await page.getByLabel('Stock as CSV').setInputFiles(file);
    await expect(page.getByText(/lines counted in/)).toBeVisible();
    await expect(page.getByRole('grid', { name: 'Stock' })).toContainText('cloth tape, 19 mm2.5 m');
  });

  await test.step('an offcut goes back with gauge, colour and length', async () => {
    await typeInto(page, 'Gauge, AWG', '26');
    await typeInto(page, 'Colour', 'yellow');
    await typeInto(page, 'Length, mm', '95');
    await page.keyboard.press('Enter');
    await expect(page.getByText('It is offered when a kit needs it.')).toBeVisible();
    await typeInto(page, 'Name, gauge, colour or place', 'offcut yellow');
    await expect(page.getByRole('grid', { name: 'Stock' })).toContainText('yellow wire, 26 AWG, 95 mm, offcut');
  });
});
