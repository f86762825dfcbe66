/**
 * What the technician chooses by hand: a pad and a colour that the planner keeps; and a plan that leaves as files and
 * comes back as another job's.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import type { Plan } from '@junctor/core';
import { landedOn } from '@junctor/core';
import { answer, jobNamed, press, readable, sentence, signIn, takeUp, under } from '../support/bench';
import { newQuad } from '../support/forms';
import { expect, test } from '../support/shop';

/** The wire that joins two terminals, in either direction. */
function between({ target }: Plan, a: string, b: string) {
  return Object.values(target.wires).find(({ ends }) =>
    [a, b].every((ref) => ends.some((end) => landedOn(end) === ref)),
  );
}

test('a pad and a colour chosen by hand stay so when the planner runs', async ({ page, shop }) => {
  const quad = 'Vineyard frost-patrol';
  await signIn(page, shop.url);
  await takeUp(page);
  await press(page, 'm');
  await expect(sentence(page)).toContainText('Which pad takes');
  for (let count = 0; count < 60 && !(await sentence(page).innerText()).includes('yellow wire'); count++)
    await press(page, '+');
  await expect(sentence(page)).toContainText('Planned: R2');

  await test.step('the ring walks to another port; the half of it that does not work yet is said', async () => {
    for (let count = 0; count < 20 && !(await page.getByRole('button', { name: /Plan: on R3/ }).isVisible()); count++)
      await press(page, 'ArrowRight');
    await expect(page.getByRole('button', { name: /Plan: on R3/ })).toBeVisible();
    await expect(under(page)).toContainText('would not work yet');
    await press(page, 'Enter');
    await expect(page.getByRole('region', { name: 'Finding' })).toContainText('Will not work');
    const { plan } = await jobNamed(page, shop.url, quad);
    expect(plan.pinned).toEqual([{ what: 'terminal', of: 'RX.TX', value: 'FC.RX3' }]);
  });

  await test.step('another colour is judged and planned', async () => {
    await press(page, 'c');
    await expect(sentence(page)).toContainText('What wire is');
    await readable(page);
    for (let count = 0; count < 12 && !(await page.getByRole('button', { name: /Plan: grey/ }).isVisible()); count++)
      await press(page, 'ArrowDown');
    await expect(under(page)).toHaveText('No rule objects. It is kept when the planner runs again.');
    await press(page, 'Enter');
    await expect(sentence(page)).toContainText('Which pad takes the grey wire');
  });

  await test.step('the planner says what is held, keeps it, and lets the other wire follow', async () => {
    await answer(page, 'Escape');
    await answer(page, 'm');
    await press(page, '4');
    const wishes = page.getByRole('list', { name: 'Wishes' });
    await expect(wishes).toBeVisible();
    await press(page, 'ArrowUp');
    await expect(wishes).toContainText('RX TX on FC RX3 by hand');
    await expect(wishes).toContainText('wire from RX TX: grey by hand');
    await press(page, 'Enter');
    await expect(sentence(page)).toHaveText('Everything wanted is served. Take this plan?', { timeout: 20_000 });
    await press(page, 'Enter');
    await expect(sentence(page)).toContainText(/Which pad takes|comes off/);
    const { plan } = await jobNamed(page, shop.url, quad);
    expect(between(plan, 'RX.TX', 'FC.RX3')).toMatchObject({ colour: 'grey' });
    expect(between(plan, 'RX.RX', 'FC.TX3')).toBeDefined();
    expect(plan.links.find(({ wish }) => wish === 'receiver RX')!.ends).toContainEqual({ slot: 'FC', port: 'UART3' });
  });

  await test.step('let go, it is the planner’s again', async () => {
    await press(page, '4');
    await press(page, 'ArrowUp');
    await press(page, '1');
    await expect(page.getByRole('list', { name: 'Wishes' })).not.toContainText('grey by hand');
    await press(page, 'Enter');
    await expect(sentence(page)).toHaveText('Everything wanted is served. Take this plan?', { timeout: 20_000 });
    await press(page, 'Enter');
    await expect(sentence(page)).toContainText(/Which pad takes|comes off/);
    const { plan } = await jobNamed(page, shop.url, quad);
    expect(plan.pinned).toEqual([{ what: 'terminal', of: 'RX.TX', value: 'FC.RX3' }]);
    expect(between(plan, 'RX.TX', 'FC.RX3')!.colour).not.toBe('grey');
  });
});

test('a plan leaves as build file, drawing and deck, and comes back as the plan of another quad', async ({
  page,
  shop,
}, info) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Culvert inspector' })).toBeVisible();
  const { id, plan } = await jobNamed(page, shop.url, 'Culvert inspector');
  await page.goto(`${shop.url}/jobs/${id}/wires`);
  await expect(page.getByRole('grid', { name: 'Wires' })).toBeVisible();
  // The receiver is exchanged: what is soldered to the old one is no joint of the new one.
  await expect(page.getByRole('row', { name: 'C1-3', exact: true })).toContainText('one end landed');
  const saved = async (key: string) => {
    const saving = page.waitForEvent('download');
    await press(page, key);
    return readFileSync(await (await saving).path(), 'utf8');
  };
  expect(await saved('d')).toMatch(/^<\?xml[\s\S]*FC: Knot 33 single board[\s\S]*<\/svg>\s*$/);
  expect(await saved('k')).toMatch(/^\* Culvert inspector\n[\s\S]*\.end\s*$/);
  const text = await saved('b');
  const file = info.outputPath('build.json');

  await page.goto(shop.url);
  await expect(page.getByRole('heading', { name: 'Culvert inspector' })).toBeVisible();
  await newQuad(page, 'Lowmoor Drains', 'Second culvert inspector');
  await page.getByRole('radio', { name: 'a template' }).focus();
  await page.keyboard.press('ArrowRight');
  writeFileSync(file, text.replace('"wires": {', '"wires": {"C1-3": {},'));
  await page.getByLabel('Build file', { exact: true }).setInputFiles(file);
  await page.getByRole('button', { name: 'Open the job' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('plan.target.wires.C1-3 stands there already');
  writeFileSync(file, text);
  await page.getByLabel('Build file', { exact: true }).setInputFiles(file);
  await page.getByRole('button', { name: 'Open the job' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Second culvert inspector: what it came in for');
  const copy = await jobNamed(page, shop.url, 'Second culvert inspector');
  expect(copy.plan.target).toEqual(plan.target);
  expect([copy.plan.links, copy.plan.pinned]).toEqual([plan.links, plan.pinned]);
});
