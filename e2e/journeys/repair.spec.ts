/** The crashed bird counter: symptoms, a reading anywhere, halving, a part replaced, proved again, handed over. */
import type { FaultEntry } from '@junctor/core';
import { newPart } from '@junctor/server/testing';
import type { Page } from '@playwright/test';
import { jobNamed, logOf, press, quadId, readable, sentence, signIn, under } from '../support/bench';
import { pick, takeMarked, typeInto } from '../support/forms';
import { expect, test } from '../support/shop';
import { sayExpectedFirst, walkJob } from '../support/walkJob';

const shots = process.env.JUNCTOR_SHOTS;
let shot = 0;
async function shoot(page: Page, name: string): Promise<void> {
  if (shots) await page.screenshot({ path: `${shots}/${String(shot++).padStart(2, '0')}-${name}.png` });
}

/** A reading anywhere: two terminals by a few letters, the mode by key; ends where the meter's answer is asked. */
async function readAnywhere(page: Page, black: string, red: string, mode: string): Promise<void> {
  for (const [probe, letters] of [
    ['Black', black],
    ['Red', red],
  ] as const) {
    await expect(sentence(page)).toHaveText(`${probe} probe: on what?`);
    await page.getByRole('textbox', { name: 'Terminal' }).fill('');
    await page.keyboard.type(letters);
    await page.keyboard.press('Enter');
  }
  await expect(sentence(page)).toContainText('how?');
  await press(page, mode);
}

const quad = 'Salt-marsh bird counter';

test.describe.configure({ timeout: 300_000 });

test('a crashed quad from the call to its sheet', async ({ page, shop }) => {
  await signIn(page, shop.url);

  await test.step('a repair is opened from the book of the quad', async () => {
    await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
    await press(page, 'n');
    await expect(page.getByLabel('Customer', { exact: true })).toBeFocused();
    await page.keyboard.type('Reed');
    await takeMarked(page, 'Known customers', /Reedmere/);
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Which quad of Reedmere');
    await takeMarked(page, 'Known quads', /bird counter/);
    await expect(page.getByLabel('In a few words')).toBeFocused();
    await typeInto(page, 'In a few words', 'crashed on the mud');
    await pick(page, 'repair');
    await expect(page.getByRole('radio', { name: 'what is in it: its book' })).toBeChecked();
    await shoot(page, 'job-form');
    await page.getByRole('button', { name: 'Open the job' }).focus();
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toHaveText('What does the customer say? It is about …');
    await readable(page);
    await shoot(page, 'came-in');
  });

  await test.step('what the customer says, and how it died', async () => {
    await press(page, '2');
    await expect(sentence(page)).toHaveText('What about tones and motors?');
    await shoot(page, 'tones');
    await press(page, '1');
    await expect(page.getByRole('list', { name: 'What is said so far' })).toContainText('no tone from any motor');
    await press(page, '4');
    await press(page, '1');
    await expect(page.getByRole('list', { name: 'What is said so far' })).toContainText('no picture');
    await press(page, 'Enter');
    await expect(sentence(page)).toHaveText('How did it die?');
    await shoot(page, 'died');
    await press(page, '1');
    await expect(page.getByText('the ground contact of the ESC plug parts first')).toBeVisible();
    await shoot(page, 'changed');
    await page.keyboard.type('new propellers');
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('Find it.');
    await shoot(page, 'find');
    await readable(page);
  });

  await test.step('a reading of 2 ohm between plus and minus: no battery, on every screen', async () => {
    await press(page, '1');
    await shoot(page, 'read-black');
    await readAnywhere(page, 'bat −', 'bat +', '2');
    await press(page, '2');
    await shoot(page, 'read-ohms');
    await press(page, 'Enter');
    await expect(page.getByRole('alert')).toContainText('Short between + and −');
    await shoot(page, 'short');
    await press(page, 'Enter');
    await expect(sentence(page)).toContainText('BAT − to BAT +: 2 Ω');
    await shoot(page, 'short-result');
    await press(page, '*');
    await expect(page.getByLabel('What was seen or heard')).toBeFocused();
    await typeInto(page, 'What was seen or heard', 'plugged in, no tones, no picture since a crash: 2 ohm across');
    await shoot(page, 'fault');
    await readable(page);
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('Find it.');
    await expect(under(page)).toContainText('Short between + and −');
    await page.goto(page.url().replace(/\/find$/, '/sheet'));
    await expect(page.getByText('A short between plus and minus of the battery leads stands')).toBeVisible();
    await page.goBack();
    await expect(sentence(page)).toContainText('Find it.');
  });

  await test.step('halved: a plug pulled, a lead lifted, read again: it is the ESC', async () => {
    await press(page, '2');
    await shoot(page, 'isolate');
    await page.keyboard.type('pull plug esc');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('listbox', { name: 'Plugs and leads' })).toContainText('Push plug ESC J1 to FC home');
    await page.keyboard.type('red battery lead');
    await shoot(page, 'isolate-lift');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Solder back the red battery lead on ESC B+')).toBeVisible();
    await page.keyboard.type('plus leg');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Solder back the plus leg of the capacitor')).toBeVisible();
    await page.keyboard.press('Escape');
    await press(page, '1');
    await readAnywhere(page, 'esc b−', 'esc b+', '2');
    await press(page, '2');
    await press(page, 'Enter');
    await expect(sentence(page)).toContainText('ESC B− to ESC B+: 2 Ω');
    const between = page.getByRole('list', { name: 'Where it can come from' });
    await expect(between.getByRole('listitem')).toHaveText([/^the ESC: lift its leads/]);
    await shoot(page, 'esc-result');
    await press(page, 'Enter');
    await expect(sentence(page)).toContainText('Find it.');
    await expect(page.getByRole('list', { name: 'Open plugs and lifted leads' })).toContainText('ESC J1 to FC');
    await shoot(page, 'find-open');
  });

  await test.step('the part is replaced by a new one with its serial', async () => {
    await press(page, '3');
    await page.keyboard.type('esc');
    await shoot(page, 'pick-slot');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Replace ESC, Lapwing 45 A');
    await expect(page.getByRole('region', { name: 'What it takes' })).toContainText('Read with it: M1, M2, M3, M4');
    await typeInto(page, 'Serial of the new part', 'L45-0931');
    await pick(page, 'scrap');
    await typeInto(page, 'Why it is replaced', 'shorted in the crash');
    await shoot(page, 'replace');
    await readable(page);
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('Fumes away');
    await expect(under(page)).toContainText('Short between + and −');
    await shoot(page, 'first-step');
  });

  await test.step('four motors’ leads off, the old one out, the motors read, the new one in', async () => {
    await sayExpectedFirst(page, shop.url, quad);
    const off = await walkJob(page, shop.url, quad, { until: /leads of M1 off/ });
    expect(off.sentences).toContain('Take lead A of motor M1 off the ESC, A1');
    expect(off.sentences).toContain('Take lead C of motor M4 off the ESC, C4');
    expect(off.sentences).toContain('Take the ESC off');
    await shoot(page, 'sign');
    const on = await walkJob(page, shop.url, quad, { until: /^Mend the fault/ });
    expect(on.sentences).toContain('Put the ESC in its place');
    expect(on.sentences).toContain('Solder the red battery lead to the ESC, pad B+');
    expect(on.sentences).toContain('Push plug ESC J1 to FC home until it clicks');
    await expect(under(page)).not.toContainText('Every check');
    await shoot(page, 'mend');
    await readable(page);
  });

  await test.step('mended by what was done, then only what that touched is read again', async () => {
    const read = await walkJob(page, shop.url, quad, { until: /propellers/ });
    expect(read.sentences.filter((said) => said.startsWith('Black on BAT −, red on BAT +'))).toHaveLength(1);
    await shoot(page, 'before-power');
    await walkJob(page, shop.url, quad, { until: /^Is it mended/ });
    await shoot(page, 'settle-fault');
    await press(page, '5');
    await typeInto(page, 'Why, as far as known', 'a switch broke through when the propeller hit the mud');
    await typeInto(page, 'What was done', 'ESC replaced, motors read, all of it read again');
    await typeInto(page, 'Minutes it cost', '95');
    await typeInto(page, 'What it cost, in money', '61.50');
    const picture = Buffer.from(onePixel, 'base64');
    await page.getByLabel('A picture of it').setInputFiles({ name: 'esc.png', mimeType: 'image/png', buffer: picture });
    await shoot(page, 'fault-better');
    await page.getByRole('button', { name: 'Keep it so' }).focus();
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toContainText('Is it mended');
  });

  await test.step('what the customer said is answered, weights, the sheet, handed over and closed', async () => {
    await walkJob(page, shop.url, quad, { until: /“no picture”/ });
    await expect(sentence(page)).toHaveText('The customer said: “no picture”. Is that gone?');
    await shoot(page, 'settle-symptom');
    await press(page, '0');
    await page.keyboard.type('the picture comes with the goggles, which are not here');
    await page.keyboard.press('Enter');
    await walkJob(page, shop.url, quad, { until: /^Print the sheet/ });
    await shoot(page, 'hand-over');
    await readable(page);
    await press(page, '5');
    await expect(page.getByRole('list', { name: 'What was wrong' })).toContainText('a switch broke through');
    await expect(page.getByRole('list', { name: 'What you told us' })).toContainText('which are not here');
    await expect(page.getByRole('list', { name: 'Parts' })).toContainText('out: Lapwing 45 A four-in-one ESC');
    await shoot(page, 'sheet');
    await readable(page);
    await press(page, 'Enter');
    await walkJob(page, shop.url, quad);
    await expect(page.getByText('what an earlier job read there is history')).toBeVisible();
    await expect(page.getByText('motors: 12 joints looked at and good')).toBeVisible();
    await shoot(page, 'all-done');
    await press(page, '5');
    await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  });

  await test.step('the book has it, and the new part is in the quad', async () => {
    const log = await logOf(page, shop.url, await quadId(page, shop.url, quad));
    const faults = log.filter(({ body }) => body.saw === 'fault').map(({ body }) => body.fault as FaultEntry);
    expect(faults.at(-1)).toMatchObject({ state: 'proved', costMinor: 6150, minutes: 95 });
    expect(faults.at(-1)!.mendedBy!.length).toBeGreaterThan(10);
    expect(faults.at(-1)!.provedBy!.length).toBeGreaterThan(10);
    expect(faults.at(-1)!.pictures).toHaveLength(1);
    const parts = (await (await page.request.get(`${shop.url}/api/parts?q=lapwing`)).json()) as {
      serial: string | null;
      onQuad: string | null;
    }[];
    expect(parts.find(({ serial }) => serial === 'L45-0931')?.onQuad).toBe(quad);
  });
});

test('a part that does not fit: what it wants otherwise is said before it is taken', async ({ page, shop }) => {
  await signIn(page, shop.url);
  const made = await page.request.post(`${shop.url}/api/parts`, {
    data: newPart('goldeneye-rx-33', 'G-7'),
  });
  expect(made.ok()).toBe(true);
  const { id } = await jobNamed(page, shop.url, 'Glasshouse scout');
  await page.goto(`${shop.url}/jobs/${id}/replace`);
  await expect(sentence(page)).toContainText('Which part is to be replaced?');
  await page.keyboard.type('rx');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Replace receiver');
  await pick(page, /G-7/);
  const takes = page.getByRole('region', { name: 'What it takes' });
  await expect(takes).toContainText('Its 3V3 takes 3.1 to 3.5 V, where 5V takes');
  await shoot(page, 'not-fitting');
  await readable(page);
  await page.keyboard.press('Escape');
  await expect(sentence(page)).toContainText('Find it.');
});

const onePixel = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
