/** A conversion by keyboard: what comes off goes first, in order, and it is said what becomes of it. */
import { answer, enterUntil, logOf, press, quadId, sentence, signIn, under } from '../support/bench';
import { expect, test } from '../support/shop';

test('analogue to digital video', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Culvert inspector' })).toBeVisible();
  await press(page, '2');
  await expect(sentence(page)).toContainText('cable tie');

  await test.step('the planner says beside what is built what will be opened, freed and taken off', async () => {
    await press(page, 'm');
    await press(page, '4');
    await press(page, 'Enter');
    const changes = page.getByRole('list', { name: 'What changes' });
    await expect(changes).toContainText('comes off, the customer’s: RX, VTX, CAM, ANT1', { timeout: 20_000 });
    await expect(changes).toContainText('ports freed: FC CAMIN, FC VIDOUT');
    await press(page, 'Escape');
    await press(page, 'Escape');
    await expect(sentence(page)).toContainText('cable tie');
  });

  await test.step('plugs come off, then wires, then the parts, each with where it goes', async () => {
    await answer(page, '9');
    for (let count = 0; count < 6 && !(await sentence(page).innerText()).includes('Fumes away'); count++)
      await answer(page, '+');
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Take a picture of the old wiring before anything is opened');
    await expect(page.getByRole('list', { name: 'What comes off' })).toContainText('Unplug');
    await page
      .getByLabel('Picture of the old wiring')
      .setInputFiles({ name: 'words.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
    await expect(under(page)).toContainText('This file is no picture');
    await page
      .getByLabel('Picture of the old wiring')
      .setInputFiles({ name: 'old.png', mimeType: 'image/png', buffer: await page.screenshot() });
    await expect(sentence(page)).toContainText('Unplug');
    await expect(page.getByRole('region', { name: /Left hand/ })).toBeVisible();
    await enterUntil(page, /^Take the white wire off/);
    await expect(under(page)).toContainText('a pad that is tugged cold lifts');
    await enterUntil(page, /^Take the old receiver off$/);
    await answer(page, '1');
    await enterUntil(page, /^Take the old video unit off$/);
    await answer(page, 'Enter');
    await expect(page.getByRole('status')).toHaveText(/^saved/);
    const log = await logOf(page, shop.url, await quadId(page, shop.url, 'Culvert'));
    expect(log.filter(({ body }) => body.do === 'take off').map(({ body }) => [body.slot, body.to])).toEqual([
      ['RX', 'bench'],
      ['VTX', 'customer'],
    ]);
    await enterUntil(page, /Put receiver .* in its place|Put the receiver in its place/);
  });
});
