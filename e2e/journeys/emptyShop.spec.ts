/** An empty shop: its first lead, a person, a customer, a quad and a job, from a template and from a build file. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { press, sentence, signIn, throughKit } from '../support/bench';
import { fill, newQuad, takeMarked } from '../support/forms';
import { expect, test } from '../support/shop';

test.use({ shopKind: 'empty' });

const owner = { name: 'Ada Fenn', password: 'first of the shop' };
const template = join(import.meta.dirname, '../../catalogue/templates/quad-serial-6s.json');

test('an empty shop begins', async ({ page, shop }, info) => {
  await page.goto(shop.url);
  await expect(page.getByLabel('Name of the shop')).toBeFocused();
  await fill(page, 'Reed Lane Rotors', owner.name, 'short');
  await expect(page.getByText('length must be at least 8 characters')).toBeVisible();
  await page.getByLabel('Password, eight characters or more').focus();
  await page.keyboard.press('Control+A');
  await fill(page, owner.password);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No quad is waiting');

  await test.step('a job from the template', async () => {
    await newQuad(page, 'Wold Orchard', 'Orchard scout');
    await page.keyboard.press('Enter');
    await throughKit(page);
    await press(page, 'Enter');
    await expect(sentence(page)).toHaveText('Put the frame in its place');
  });

  await test.step('a known customer is found, and a broken build file is refused with line and column', async () => {
    await press(page, 'Home');
    await expect(page.getByRole('heading', { name: 'Orchard scout' })).toBeVisible();
    await press(page, 'n');
    await expect(page.getByLabel('Customer', { exact: true })).toBeFocused();
    // Esc leaves the field for good, also when the answer comes late and marks a match.
    await page.route('**/api/customers?**', async (route) => {
      await new Promise((later) => setTimeout(later, 1_000));
      await route.continue();
    });
    await page.keyboard.type('Wold');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('option', { name: 'Wold Orchard' })).toBeVisible();
    await expect(page.getByLabel('Customer', { exact: true })).not.toBeFocused();
    await page.unrouteAll();
    await page.getByLabel('Customer', { exact: true }).focus();
    await takeMarked(page, 'Known customers', 'Wold Orchard');
    await expect(page.getByRole('option', { name: 'Orchard scout' })).toBeFocused();
    await page.keyboard.press('n');
    await expect(page.getByLabel('What it is called')).toBeFocused();
    await fill(page, 'Second scout');
    await expect(page.getByLabel('In a few words')).toBeFocused();
    await page.getByRole('radio', { name: 'a template' }).focus();
    await page.keyboard.press('ArrowRight');
    const broken = info.outputPath('broken.json');
    writeFileSync(broken, '{\n  "format": "junctor-build",\n  "version": 1,,\n}');
    await page.getByLabel('Build file', { exact: true }).setInputFiles(broken);
    await page.getByRole('button', { name: 'Open the job' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('Not JSON at line 3, column 16');
    const lacking = info.outputPath('lacking.json');
    const file = JSON.parse(readFileSync(template, 'utf8')) as {
      plan: { target: { slots: { ESC: { model: string } } } };
    };
    file.plan.target.slots.ESC.model = 'no-such-esc';
    writeFileSync(lacking, JSON.stringify(file));
    await page.getByLabel('Build file', { exact: true }).setInputFiles(lacking);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('The catalogue has no part model no-such-esc');
    await page.getByLabel('Build file', { exact: true }).setInputFiles(template);
    await page.keyboard.press('Enter');
    await throughKit(page);
  });

  await test.step('the lead takes a person on, who signs in', async () => {
    await press(page, 'Home');
    await expect(page.getByRole('heading', { name: 'Second scout' })).toBeVisible();
    await press(page, 'h');
    await page.getByLabel('Name', { exact: true }).focus();
    await page.keyboard.type('Tam Reddle');
    await page.getByLabel('First password, eight characters or more').focus();
    await fill(page, 'solder and flux');
    await expect(page.getByRole('list', { name: 'People' })).toContainText('Tam Reddle, technician');
    await page.getByRole('button', { name: 'Sign out' }).focus();
    await page.keyboard.press('Enter');
    await signIn(page, shop.url, { name: 'Tam Reddle', password: 'solder and flux' });
    await expect(page.getByText('Tam Reddle, technician')).toBeVisible();
  });
});
