/** What went wrong: a record taken back, a fault left open and mended from the book, a short between the main leads. */
import {
  answer,
  answerTouch,
  enterUntil,
  logOf,
  press,
  quadId,
  sentence,
  signIn,
  takeUp,
  under,
} from '../support/bench';
import { typeInto } from '../support/forms';
import { expect, test } from '../support/shop';

test('corrections, an open fault, a short', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await takeUp(page);
  await expect(sentence(page)).toContainText('lead B of motor M3');

  await test.step('the last record is taken back, and stays in the book struck through', async () => {
    await answer(page, 'Enter');
    await expect(sentence(page)).toContainText('lead C of motor M3');
    await press(page, 'z');
    await expect(sentence(page)).toHaveText('Take back: lead B of motor M3 soldered to ESC B3');
    await answer(page, 'Enter');
    await expect(sentence(page)).toContainText('Solder lead B of motor M3');
    await expect(page.getByRole('status')).toHaveText(/^saved/);
    const log = await logOf(page, shop.url, await quadId(page, shop.url, 'Vineyard'));
    expect(log.at(-1)).toMatchObject({ replaces: log.at(-2)!.id, body: { saw: 'taken back' } });
  });

  await test.step('looking along the cord records nothing', async () => {
    await press(page, '-');
    await expect(sentence(page)).toContainText('Looking: Solder lead A of motor M3');
    await expect(under(page)).toContainText('Bram Tolley');
    await press(page, 'Enter');
    await expect(sentence(page)).toContainText('Solder lead B of motor M3');
  });

  await test.step('a fault left open stands in the book, leads back into its job, and no sentence closes it', async () => {
    await press(page, '*');
    await press(page, '2');
    await press(page, '5');
    await expect(page.getByLabel('What was seen or heard')).toHaveValue('pad lifted');
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('Solder lead B of motor M3');
    const id = await quadId(page, shop.url, 'Vineyard');
    await page.goto(`${shop.url}/quads/${id}/book`);
    await expect(page.getByRole('heading', { name: 'Faults: 1, 1 open' })).toBeVisible();
    await page.getByRole('link', { name: 'Open it in its job' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tell the fault better');
    await typeInto(page, 'What was done', 'pad glued down, wire to the hole beside it');
    await page.keyboard.press('Enter');
    await page.goto(`${shop.url}/quads/${id}/book`);
    await expect(page.getByRole('article').last()).toContainText('pad glued down');
    await expect(page.getByRole('heading', { name: 'Faults: 1, 1 open' })).toBeVisible();
  });

  await test.step('a short between the main leads fills the screen, and closes power', async () => {
    await page.goto(shop.url);
    await takeUp(page);
    await enterUntil(page, /^Mend the fault: pad lifted/);
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Volts across the main leads');
    for (const key of '0') await press(page, key);
    await press(page, 'Enter');
    await press(page, '0');
    await answer(page, '4');
    await answerTouch(page);
    await answerTouch(page);
    await expect(sentence(page)).toHaveText('Black on BAT −, red on BAT +');
    await expect(page.getByTestId('expected')).toHaveText('silent or chirp');
    await press(page, '4');
    await expect(page.getByRole('alert')).toContainText('Short between + and −.No battery.Find it first.');
    await press(page, 'Enter');
    await expect(sentence(page)).toHaveText('Stop. BAT − to BAT +: does not stop');
    await expect(page.getByRole('list', { name: 'What it can be' })).toContainText(
      'solder bridge: between ESC VB and ESC G',
    );
    const id = await quadId(page, shop.url, 'Vineyard');
    const [first] = await logOf(page, shop.url, id);
    const asked = await page.request.post(`${shop.url}/api/quads/${id}/permits`, {
      data: {
        id: '019b0000-0000-7000-8000-000000000009',
        jobId: (first as unknown as { jobId: string }).jobId,
        deviceId: '019b0000-0000-7000-8000-000000000001',
        doneAt: new Date().toISOString(),
        gate: 'first power',
      },
    });
    expect(asked.status()).toBe(409);
    expect(JSON.stringify(await asked.json())).toContain('Short between + and −');
  });
});
