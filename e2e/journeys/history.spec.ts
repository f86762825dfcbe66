/** A quad that comes back dead: what an earlier job proved is history, and counts for nothing in this one. */
import { answer, press, sentence, signIn } from '../support/bench';
import { pick, takeMarked, typeInto } from '../support/forms';
import { expect, test } from '../support/shop';

test('a job opened on a quad of the book', async ({ page, shop }) => {
  await test.step('the salt-marsh bird counter, closed weeks ago with every check passed, crashed', async () => {
    await signIn(page, shop.url);
    await press(page, 'n');
    await expect(page.getByLabel('Customer', { exact: true })).toBeFocused();
    await page.keyboard.type('reed');
    await takeMarked(page, 'Known customers', /Reedmere/);
    await expect(page.getByRole('option', { name: /Salt-marsh/ })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('In a few words')).toBeFocused();
    await typeInto(page, 'In a few words', 'no tones, no picture since a crash');
    await pick(page, 'repair');
    await page.getByRole('button', { name: 'Open the job' }).focus();
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('What does the customer say?');
    await press(page, 'Enter');
    await press(page, '1');
    await page.keyboard.press('Escape');
    await press(page, '0');
    await expect(sentence(page)).toContainText('Find it.');
  });

  await test.step('nothing of it has passed here: the meter, the leads, every touch are asked', async () => {
    await press(page, 'Enter');
    await expect(sentence(page)).not.toContainText('Every check planned here has passed');
    await expect(sentence(page)).toContainText('Fumes away');
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Volts across the main leads');
    await expect(page.getByText('Continuity', { exact: false }).first()).toBeVisible();
    await expect(page.getByText('Continuity passed')).toHaveCount(0);
    await expect(page.getByText('First power passed')).toHaveCount(0);
  });
});
