/** A lead learns a meter's card from resistors and a capacitor; taken up, it is the one that touches are made for. */
import { enterUntil, lead, press, readable, sentence, signIn, takeUp } from '../support/bench';
import { typeInto } from '../support/forms';
import { expect, test } from '../support/shop';

test('a meter is learned, taken up, and the touches are made for it', async ({ page, shop }) => {
  await signIn(page, shop.url, lead);
  await page.goto(`${shop.url}/stores/meters`);
  const meters = page.getByRole('list', { name: 'Meters' });
  await expect(meters.getByRole('listitem').first()).toContainText('Bench meter, typical card ● at the bench');
  await typeInto(page, 'What it is called here', 'Drawer meter');
  await typeInto(page, 'On tone: resistors that sound, Ω', '10 22 33');
  const said = page.getByRole('status').filter({ hasText: /./ }).last();
  await expect(said).toContainText('Every resistor has sounded: try a greater one');
  await typeInto(page, 'Resistors that stay silent, Ω', '47 100');
  await expect(said).toContainText('Two different resistors are wanted in diode volts');
  await typeInto(page, 'Diode volts on, Ω', '220');
  await page.getByLabel('shows, V', { exact: true }).first().fill('0.22');
  await typeInto(page, 'on a greater one, Ω', '1k');
  await page.getByLabel('shows, V', { exact: true }).last().fill('1.0');
  await expect(said).toContainText('diode volts by 1 mA up to 2 V');
  await typeInto(page, 'A known capacitor, emptied, µF', '470');
  await typeInto(page, 'sounds for, ms', '18.4');
  await expect(said).toContainText(/sounds below 3[23] to 47 Ω/);
  await readable(page);
  await page.getByRole('button', { name: 'Keep its card' }).press('Enter');
  await expect(meters).toContainText('Drawer meter');
  await page.getByRole('button', { name: 'Take up Drawer meter' }).press('Enter');
  await expect(meters.getByRole('listitem').first()).toContainText('Drawer meter ● at the bench');
  await page.goto(shop.url);
  await takeUp(page);
  await enterUntil(page, /Volts across the main leads/);
  await expect(page.getByRole('region', { name: 'Left hand: the meter' })).toContainText('Drawer meter');
  await press(page, 'l');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('touches, about', { timeout: 90_000 });
  await expect(page.getByText('for Drawer meter')).toBeVisible();
  await page.goBack();
  await expect(sentence(page)).toHaveText('Volts across the main leads');
});
