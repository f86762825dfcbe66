/**
 * The wiring, by keyboard: a wire moved where it does not work, remedied by one key, undone and redone; planned with a
 * choice held; a conflict and its way out; two people at once.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { jobNamed, press, sentence, signIn, takeUp, under } from '../support/bench';
import { typeInto } from '../support/forms';
import { expect, test } from '../support/shop';

/** Steps through the landings until the wire is the one asked for. */
async function toWire(page: Page, words: string): Promise<void> {
  for (let count = 0; count < 60 && !(await sentence(page).innerText()).includes(words); count++)
    await press(page, '+');
  await expect(sentence(page)).toContainText(words);
}

test('a remedy by one key, undo and redo', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await takeUp(page);
  await press(page, 'm');
  await expect(sentence(page)).toContainText('Which pad takes');
  await toWire(page, 'yellow wire');
  const planned = (await jobNamed(page, shop.url, 'Vineyard frost-patrol')).plan;
  await press(page, 'ArrowRight');
  await expect(under(page)).toContainText(/would not work yet|No rule objects|Not there/);
  for (let count = 0; count < 20 && !(await under(page).innerText()).includes('would not work yet'); count++)
    await press(page, 'ArrowRight');
  await expect(under(page)).toContainText('would not work yet');
  await press(page, 'Enter');
  const finding = page.getByRole('region', { name: 'Finding' });
  await expect(finding).toContainText('Will not work');
  const remedies = page.getByRole('list', { name: 'Remedies' });
  await expect(remedies.getByRole('listitem').first()).toBeVisible();
  await press(page, '1');
  await expect(finding).toBeHidden();
  await press(page, 'z');
  await expect(finding).toContainText('Will not work');
  await press(page, 'z');
  await expect(finding).toBeHidden();
  expect((await jobNamed(page, shop.url, 'Vineyard frost-patrol')).plan.target.wires).toEqual(planned.target.wires);
  await press(page, 'y');
  await expect(finding).toContainText('Will not work');
});

test('plan, hold a choice, conflict and way out', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Glasshouse scout' })).toBeVisible();
  await press(page, '4');
  await expect(sentence(page)).toBeVisible();
  await press(page, 'm');
  await press(page, '4');
  const wishes = page.getByRole('list', { name: 'Wishes' });

  await test.step('the planner serves every wish and says what changes beside what is built', async () => {
    await expect(sentence(page)).toHaveText('What is wanted of these parts?');
    await press(page, 'Enter');
    await expect(sentence(page)).toHaveText('Everything wanted is served. Take this plan?', { timeout: 15_000 });
    await expect(wishes).toContainText('positioning GPS');
    await expect(page.getByRole('list', { name: 'What changes' })).toContainText('comes on: GPS, LED');
  });

  await test.step('another port is priced, and a port that is held stays', async () => {
    await press(page, '2');
    const other = page.getByRole('list', { name: 'Other ports' });
    await expect(other).toContainText('mm', { timeout: 15_000 });
    const held = /FC UART\d/.exec(await wishes.getByRole('listitem').first().innerText())![0];
    await press(page, '3');
    await expect(wishes.getByRole('listitem').first()).toContainText(`held on ${held}`);
    await press(page, 'Enter');
    await expect(sentence(page)).toHaveText('Everything wanted is served. Take this plan?', { timeout: 15_000 });
    await press(page, 'Enter');
    await expect(sentence(page)).toContainText('Which pad takes');
    const { plan } = await jobNamed(page, shop.url, 'Glasshouse scout');
    expect(plan.pinned).toEqual([{ what: 'port', of: 'receiver RX', value: held.replace(' ', '/') }]);
    expect(plan.links.find(({ wish }) => wish === 'receiver RX')!.ends[1]).toEqual({
      slot: 'FC',
      port: held.split(' ')[1],
    });
    expect(plan.wishes.length).toBeGreaterThan(4);
  });

  await test.step('more receivers than ports: the clash is named and a way out taken by its key', async () => {
    const job = await jobNamed(page, shop.url, 'Glasshouse scout');
    const receiver = job.plan.target.slots.RX!;
    const names = Array.from({ length: 8 }, (_, index) => `RX${index + 2}`);
    const changes = names.flatMap((slot) => [
      { path: `slots/${slot}`, before: null, after: receiver },
      {
        path: `wishes/receiver ${slot}`,
        before: null,
        after: {
          id: `receiver ${slot}`,
          purpose: 'receiver',
          of: slot,
          must: true,
          lossIfDropped: 3,
          ways: ['two-way'],
        },
      },
    ]);
    expect(
      (
        await page.request.post(`${shop.url}/api/jobs/${job.id}/plan-changes`, {
          data: { version: job.plan.version, changes },
        })
      ).ok(),
    ).toBe(true);
    await page.reload();
    await expect(sentence(page)).toBeVisible();
    await press(page, 'm');
    await press(page, '4');
    await press(page, 'ArrowUp');
    await expect(wishes).toContainText('receiver RX9');
    await press(page, 'Enter');
    await expect(sentence(page)).toContainText('cannot all be met', { timeout: 30_000 });
    await expect(wishes).toContainText('clashes');
    const ways = page.getByRole('list', { name: 'Ways out' });
    await expect(ways.getByRole('listitem').first()).toContainText('Do without receiver', { timeout: 60_000 });
    await press(page, '1');
    await expect(sentence(page)).toContainText(/cannot all be met|Served but for/, { timeout: 60_000 });
  });
});

test('two people at once, the wire list, the set-up sheet', async ({ page, shop }, info) => {
  await signIn(page, shop.url);
  await takeUp(page);
  await press(page, 'm');
  await toWire(page, 'yellow wire');

  await test.step('the wire that somebody else has moved meanwhile is named, and nothing is overwritten', async () => {
    const job = await jobNamed(page, shop.url, 'Vineyard frost-patrol');
    for (let count = 0; count < 20 && !(await under(page).innerText()).includes('would not work yet'); count++)
      await press(page, 'ArrowRight');
    const name = Object.values(job.plan.target.wires).find(({ ends }) =>
      ends.some(({ at }) => 'ref' in at && at.ref === 'RX.TX'),
    )!.id;
    const wire = job.plan.target.wires[name]!;
    await page.route('**/api/jobs/*', (route) =>
      route.request().method() === 'GET' ? route.abort() : route.continue(),
    );
    const theirs = { ...wire, colour: 'violet' };
    expect(
      (
        await page.request.post(`${shop.url}/api/jobs/${job.id}/plan-changes`, {
          data: { version: job.plan.version, changes: [{ path: `wires/${name}`, before: wire, after: theirs }] },
        })
      ).ok(),
    ).toBe(true);
    await press(page, 'Enter');
    await expect(under(page)).toContainText(`somebody else has changed wire ${name} meanwhile`);
    await page.unroute('**/api/jobs/*');
    expect((await jobNamed(page, shop.url, 'Vineyard frost-patrol')).plan.target.wires[name]).toEqual(theirs);
  });

  await test.step('the wires are filtered, written, and read back with columns in another order', async () => {
    const { id } = await jobNamed(page, shop.url, 'Vineyard frost-patrol');
    await page.goto(`${shop.url}/jobs/${id}/wires`);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^(\d+) of \1 wires$/);
    await typeInto(page, 'Find', 'RX.');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^4 of/);
    await expect(page.getByRole('grid', { name: 'Wires' })).toContainText('○ planned');
    await press(page, 'Escape');
    const saving = page.waitForEvent('download');
    await press(page, 'c');
    const text = readFileSync(await (await saving).path(), 'utf8').replace(/^\ufeff/, '');
    const [head, ...rows] = text
      .trim()
      .split('\r\n')
      .map((line) => line.split(','));
    const turned = [head!, ...rows]
      .map((cells) => [...cells].reverse().join(';'))
      .join('\n')
      .replace('violet', 'orange');
    const file = info.outputPath('wires.csv');
    writeFileSync(file, turned);
    await page.getByLabel('Wire list as CSV').setInputFiles(file);
    await expect(page.getByRole('status').getByText('1 wires would change')).toBeVisible();
    writeFileSync(file, turned.replace('FC.RX', 'FC.NOWHERE'));
    await page.getByLabel('Wire list as CSV').setInputFiles(file);
    await expect(page.getByRole('alert')).toContainText('Nothing of the list was taken');
    await expect(page.getByRole('list', { name: 'Faults' })).toContainText(/line \d+: there is no FC.NOWHERE/);
  });

  await test.step('the sheet mirrors the wiring, and a pasted dump is held against it', async () => {
    const { id } = await jobNamed(page, shop.url, 'Vineyard frost-patrol');
    await page.goto(`${shop.url}/jobs/${id}/set-up`);
    await expect(page.getByRole('list', { name: 'Ports' })).toContainText('receiver (RX)');
    // Printed it is one page: the sheet alone, without doors and forms.
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('textbox', { name: /Settings as they are/ })).toBeHidden();
    expect((await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1);
    await page.emulateMedia({ media: 'screen' });
    await page.getByRole('textbox', { name: /Settings as they are/ }).focus();
    await page.keyboard.insertText('battery cells = 4\nmotor 1 output = 1');
    await expect(page.getByRole('list', { name: 'Compared' })).toContainText('differs: is 4, wanted 6');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('do not mirror the wiring');
    await expect(page.getByRole('list', { name: 'Safety' })).toContainText('loss of signalmeasure');
    await page
      .getByRole('radiogroup', { name: 'When the link is lost' })
      .getByRole('radio', { name: 'not agreed' })
      .focus();
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('list', { name: 'Safety' })).toContainText('loss of signalreturn home');
    await typeInto(page, 'Setting to their taste', 'stick range');
    await typeInto(page, 'Value', '0.8');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('list', { name: 'The customer’s taste' })).toContainText('stick range0.8');
    await page.getByRole('textbox', { name: /Settings as they are/ }).focus();
    await page.keyboard.insertText('\nnonsense');
    await expect(page.getByRole('alert')).toContainText('Line 3: a line is written key = value');
  });
});
