/**
 * First power that ends well, badly, and hot, on a job with more signs than a number pad has digits; numbers that
 * cannot be.
 */
import type { Page } from '@playwright/test';
import { answer, enterUntil, logOf, press, quadId, readable, sentence, signIn, under } from '../support/bench';
import { expect, test } from '../support/shop';
import { workUntil } from '../support/workOn';

const quad = 'Culvert inspector';

async function takeUpCulvert(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await expect(page.getByRole('heading', { name: quad })).toBeVisible();
  await press(page, '2');
  await expect(sentence(page)).toBeVisible();
}

/** From the pack's questions to the plug. */
async function toThePlug(page: Page): Promise<void> {
  await enterUntil(page, /Which limiter is in line/);
  await press(page, '1');
  await press(page, '1');
  for (const key of '15.6') await press(page, key);
  await answer(page, 'Enter');
  await expect(sentence(page)).toContainText('Ask for the permit');
  await answer(page, 'Enter');
  await expect(sentence(page)).toHaveText('Plug in through the limiter. Hand on the plug');
}

/** What mends a fault is work at its place: the joint that was made last is reworked and looked at. */
async function mend(page: Page): Promise<void> {
  await press(page, '*');
  await press(page, '3');
  await press(page, '1');
  await expect(sentence(page)).toContainText('Rework the joint');
  await answer(page, 'Enter');
  await expect(sentence(page)).toContainText('Look at');
  await answer(page, 'Enter');
  await expect(sentence(page)).toContainText('Mend the fault');
  await answer(page, 'Enter');
}

test('first power with ten signs', async ({ page, shop }) => {
  test.setTimeout(150_000);
  await signIn(page, shop.url);
  await workUntil(page, shop.url, quad, 'prove');
  const log = async () => logOf(page, shop.url, await quadId(page, shop.url, 'Culvert'));

  await test.step('the meter: what stands on the leads is said at once, and a number that cannot be is asked again', async () => {
    await takeUpCulvert(page, shop.url);
    await expect(sentence(page)).toHaveText('Volts across the main leads');
    for (const key of '12') await press(page, key);
    await press(page, 'Enter');
    await expect(under(page)).toContainText(
      '12 V on the main leads: it is powered. Pull pack and USB, stay off continuity',
    );
    await expect(sentence(page)).toHaveText('Volts across the main leads');
    for (const key of '4k') await press(page, key);
    await press(page, 'Enter');
    await expect(under(page)).toContainText('4000 V is far from anything possible here');
    for (const key of '3m') await press(page, key);
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Tips apart');
    await answer(page, '0');
    await expect(sentence(page)).toHaveText('Tips together');
    await answer(page, '4');
    const proof = (await log()).findLast(({ body }) => body.saw === 'meter proof')!;
    expect(proof.body).toMatchObject({ tipsApart: 'none', tipsTogether: 'does not stop', restV: 0.003 });
  });

  await test.step('signs that do not come: what was expected, what was seen, what it can mean, and a fault', async () => {
    await workUntil(page, shop.url, quad, 'pack');
    await takeUpCulvert(page, shop.url);
    await toThePlug(page);
    await answer(page, 'Enter');
    const signs = page.getByRole('list', { name: 'Signs' });
    await expect(signs.getByRole('listitem')).toHaveCount(10);
    for (let seen = 0; seen < 4; seen++) await answer(page, 'Enter');
    await answer(page, '+');
    await answer(page, 'Enter');
    // No digit that could number a sign ends power or records anything.
    const before = (await log()).length;
    for (const digit of '123456789') await press(page, digit);
    expect((await log()).length).toBe(before);
    await answer(page, '0');
    await expect(sentence(page)).toHaveText('Pull the plug, then record');
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Power stays off. 5 of 10 signs did not show');
    await expect(signs).toContainText('seen');
    await expect(page.getByRole('list', { name: 'What that can mean' })).toContainText('limiter');
    await readable(page);
    const power = (await log()).at(-1)!;
    expect(power.body).toMatchObject({ saw: 'power', endedBy: 'sign', verdict: 'stop' });
    // It is still said after the page was loaded anew.
    await page.reload();
    await expect(sentence(page)).toHaveText('Power stays off. 5 of 10 signs did not show');
    await press(page, 'Enter');
    await expect(page.getByLabel('What was seen or heard')).toHaveValue(/^At first power not there: /);
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('Mend the fault: At first power not there');
    await mend(page);
  });

  await test.step('heat ends power at once, from the key that means a problem everywhere', async () => {
    await workUntil(page, shop.url, quad, 'pack');
    await takeUpCulvert(page, shop.url);
    await toThePlug(page);
    await answer(page, 'Enter');
    await press(page, '*');
    await expect(page.getByLabel('What was seen or heard')).toHaveValue('Heat or smell at first power');
    expect((await log()).at(-1)!.body).toMatchObject({ saw: 'power', endedBy: 'heat', verdict: 'stop' });
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('Mend the fault: Heat or smell');
    await mend(page);
  });

  await test.step('all ten signs are answered, and the job can end', async () => {
    await workUntil(page, shop.url, quad, 'pack');
    await takeUpCulvert(page, shop.url);
    await toThePlug(page);
    await answer(page, 'Enter');
    for (let sign = 0; sign < 10; sign++) await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Pull the plug, then record');
    await answer(page, 'Enter');
    await expect(sentence(page)).toContainText('Is it mended: At first power not there');
    await workUntil(page, shop.url, quad, 'no such step');
    await takeUpCulvert(page, shop.url);
    await expect(sentence(page)).toHaveText('Everything of this job is done: close it');
    await press(page, 'Enter');
    await expect(page.getByRole('heading', { name: quad })).toBeHidden();
  });
});

test('a permit that has run out is asked for again, whatever the device’s clock says', async ({ page, shop }) => {
  await page.clock.install();
  await signIn(page, shop.url);
  await workUntil(page, shop.url, quad, 'pack');
  await takeUpCulvert(page, shop.url);
  await toThePlug(page);
  // From here on this device is ahead of the server.
  await page.clock.fastForward('16:00');
  await expect(sentence(page)).toHaveText('The permit has run out');
  await expect(under(page)).toContainText('Leave the plug out');
  await answer(page, 'Enter');
  await expect(sentence(page)).toHaveText('Plug in through the limiter. Hand on the plug');
});
