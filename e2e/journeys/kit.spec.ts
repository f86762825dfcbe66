/** A job is taken in, judged before the iron is on, kitted with one thing short, and reaches its first step. */
import { writeFileSync } from 'node:fs';
import { answer, enterUntil, logOf, press, quadId, sentence, signIn, signLayout, under } from '../support/bench';
import { choose, newQuad, pick, typeInto } from '../support/forms';
import { expect, test } from '../support/shop';

test('intake and kit', async ({ page, shop }, info) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await newQuad(page, 'Holm Weir Company', 'Sluice inspector');
  await typeInto(page, 'What the customer wants, in the customer’s words', 'Look under the sluice before the flood.');
  await typeInto(page, 'Worth of craft and load, in money', '1800');
  await pick(page, /4-inch quad/);
  await choose(page, 'Pack it flies with', 'Moss 4S');
  await page.getByRole('button', { name: 'Open the job' }).focus();
  await page.keyboard.press('Enter');

  await test.step('the intake sheet judges volts, motors, room, minutes and weight', async () => {
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('“Look under the sluice before the flood.”');
    await expect(page.getByRole('list', { name: 'Volts' })).toContainText('8.5 to 9.5 V from FC 9 V');
    await expect(page.getByRole('list', { name: 'Motors' })).toContainText('near the limit');
    await expect(page.getByRole('list', { name: 'Room' })).toContainText('margins hold even at worst');
    await expect(page.getByRole('list', { name: 'Grade' })).toContainText('min at the bench');
    await expect(page.getByRole('list', { name: 'Weight', exact: true })).toContainText('ready to fly');
    await typeInto(page, 'Dry, g', '161');
    await typeInto(page, 'With pack, g', '259.5');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'Weighed' })).toContainText('the pack has 99 g');
    await page
      .getByLabel('As it came in')
      .setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('nothing') });
    await expect(page.getByText('This file is no picture')).toBeVisible();
  });

  await test.step('a counted list with a mistake is refused with its line', async () => {
    const file = info.outputPath('kit.csv');
    writeFileSync(file, '\ufeffcounted;key\r\n2;"solder:leaded"\r\nmany;tie:100\r\n');
    await page.getByLabel('Counted kit as CSV').setInputFiles(file);
    await expect(page.getByRole('list', { name: 'Kit faults' })).toHaveText(
      'line 3: counted is a number of 0 or more, not “many”',
    );
    writeFileSync(file, '\ufeffcounted;key\r\n30;"solder:leaded"\r\n8;tie:100\r\n');
    await page.getByLabel('Counted kit as CSV').setInputFiles(file);
    await expect(page.getByText('2 lines counted in')).toBeVisible();
  });

  const stockOf = async (key: string) => {
    const lines = (await (await page.request.get(`${shop.url}/api/stock`)).json()) as { key: string; onHand: number }[];
    return lines.find((line) => line.key === key)!.onHand;
  };

  await test.step('things are counted in by key; used parts and what runs short are said', async () => {
    const frames = await stockOf('part:coppice-frame-4');
    await press(page, 'Escape');
    await press(page, 'Enter');
    await expect(sentence(page)).toHaveText('Put 1 piece of Coppice 4-inch frame on the table');
    await answer(page, 'Enter');
    await expect.poll(() => stockOf('part:coppice-frame-4')).toBe(frames - 1);
    await enterUntil(page, /Egret small digital video unit/);
    await expect(under(page)).toContainText('ED-2204: used, doubtful');
    await enterUntil(page, /red wire, 28 AWG/);
    await expect(page.getByRole('button', { name: 'Offcut: red wire, 28 AWG, 140 mm' })).toBeVisible();
    await answer(page, '7');
    await enterUntil(page, /cloth tape/);
    await expect(under(page)).toContainText('Short by 210 mm');
    await answer(page, 'Enter');
    await answer(page, '9');
  });

  await test.step('what must happen while parts are loose comes first', async () => {
    await expect(sentence(page)).toContainText('Set up the receiver while it is loose');
    const toSet = page.getByRole('list', { name: 'What to set' });
    await expect(toSet).toContainText('region of the law here: not said yet');
    // The law is answered once, and kept.
    await press(page, '5');
    await page.getByLabel('Region of the law here').focus();
    await page.keyboard.type('low band');
    await page.keyboard.press('Tab');
    await page.keyboard.type('2.5k');
    await expect(page.getByText('that is 2500')).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'Receiver' })).toContainText('regionlow band');
    await page.goBack();
    await expect(toSet).toContainText('region of the law here: low band, at most 2500 mW');
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Weigh the frame while it is loose');
    // M is the wiring also where a number is asked for; behind a digit it is milli or mega.
    await press(page, 'm');
    await expect(sentence(page)).toContainText('Which pad takes');
    await press(page, 'Escape');
    await expect(sentence(page)).toHaveText('Weigh the frame while it is loose');
    for (const key of '49.2') await press(page, key);
    await answer(page, 'Enter');
    await answer(page, 'n');
    await answer(page, 'n');
    await expect(sentence(page)).toContainText('loose single board');
    // A typical part's answer leads nobody: it is said beside one's own.
    await expect(page.getByTestId('expected')).toHaveText('said after your answer');
    await press(page, '0');
    await expect(page.getByText('you said silent')).toBeVisible();
    await answer(page, 'n');
    await answer(page, 'n');
    await expect(sentence(page)).toHaveText('◐ Gap under FC, squeezed: tight. Lay insulating tape on the plate');
    await press(page, '4');
    await expect(sentence(page)).not.toContainText('Gap under FC');
    await signLayout(page);
    await expect(sentence(page)).toContainText('Fumes away');
    await expect(page.getByRole('navigation', { name: 'The job as a cord' })).toContainText('Kit, 1 short');
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Put the frame in its place');
  });

  await test.step('the shortage is said again at the step that needs the tape', async () => {
    await enterUntil(page, /Put motor M1 in its place/);
    await expect(under(page)).toContainText('Short: 210 mm of cloth tape');
    const log = await logOf(page, shop.url, await quadId(page, shop.url, 'Sluice inspector'));
    const kit = log
      .filter(({ body }) => body.saw === 'kit')
      .map(({ body }) => body as { line: string; wanted: number; have: number });
    expect(kit.filter(({ wanted, have }) => have < wanted).map(({ line }) => line)).toEqual(['tape:19']);
    expect(log.find(({ body }) => body.do === 'fit' && body.slot === 'FC')?.body.fitted).toMatchObject({
      part: expect.any(String) as unknown,
    });
    expect(log.filter(({ body }) => body.saw === 'skip')).toHaveLength(4);
  });
});
