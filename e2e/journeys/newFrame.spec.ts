/** A lead draws up a frame with a caliper in hand, by keyboard, and finds it in the stores. */
import { lead, press, signIn } from '../support/bench';
import { choose, fill, pick, typeInto } from '../support/forms';
import { expect, test } from '../support/shop';

test('a frame from its measurements', async ({ page, shop }) => {
  await signIn(page, shop.url, lead);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await press(page, 's');
  await expect(page.getByLabel('Name, maker or kind')).toBeFocused();
  await press(page, 'Escape');
  await press(page, 'w');
  const places = page.getByRole('list', { name: 'Places' }).getByRole('listitem');

  await test.step('a length in another unit is refused at its field', async () => {
    await expect(page.getByLabel('What it is called')).toBeFocused();
    await page.keyboard.type('Copse 8');
    await page.keyboard.press('Tab');
    await page.keyboard.type('Osier Frames');
    await typeInto(page, 'Motors apart across, mm', '24');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('Motors apart across, mm: a number from 30 to 3000');
    await typeInto(page, 'Motors apart across, mm', '240');
    await page.keyboard.press('Enter');
  });

  await test.step('places and an opening', async () => {
    await expect(page.getByLabel(/Name of the place/)).toBeFocused();
    await page.keyboard.type('tail');
    await pick(page, 'a deck');
    await typeInto(page, 'Ahead, mm', '-68');
    await typeInto(page, 'Room across, mm', '30');
    await typeInto(page, 'Room along, mm', '18');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('Room up, mm');
    await typeInto(page, 'Room up, mm', '12');
    await choose(page, 'Made for', 'battery lead');
    await page.getByLabel('Room up, mm').press('Enter');
    await expect(places).toHaveText([/^tail\s*a deck, 30 x 18 x 12 mm; made for: battery lead/]);
    await expect(page.getByLabel(/Name of the place/)).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel(/Name of the opening/)).toBeFocused();
    await page.keyboard.type('left window');
    await typeInto(page, 'Middle ahead, mm', '0');
    await typeInto(page, 'Over the plate, mm', '19');
    await typeInto(page, 'Wide, mm', '36');
    await typeInto(page, 'High, mm', '24');
    await page.keyboard.press('Enter');
    await expect(page.getByText('left, 36 x 24 mm, lets usb through')).toBeVisible();
    await page.keyboard.press('Enter');
  });

  await test.step('what is half entered survives, and it is stored', async () => {
    await expect(page.getByText('No cheeks: where a camera goes is not known.')).toBeVisible();
    await page.reload();
    await expect(page.getByText('No cheeks: where a camera goes is not known.')).toBeVisible();
    await expect(page.getByRole('img', { name: /from above/ })).toBeVisible();
    await press(page, 'Enter');
    await expect(page.getByRole('heading', { name: /Copse 8/ })).toBeVisible();
    await expect(page).toHaveURL(/stores\/models\/copse-8$/);
  });

  await test.step('it is drawn up for one aircraft only once', async () => {
    await page.goto(`${shop.url}/stores/new-frame`);
    await expect(page.getByLabel('What it is called')).toHaveValue('');
    await fill(page, 'Copse 8', 'Osier Frames');
    await expect(page.getByLabel(/Name of the place/)).toBeFocused();
    await page.keyboard.press('Escape');
    await press(page, '4');
    await press(page, 'Enter');
    await expect(page.getByRole('alert')).toContainText('copse-8');
  });
});
