/** An aircraft of the book comes back for another receiver: its plan starts from what is in it. */
import type { Wire } from '@junctor/core';
import { jobNamed, press, sentence, signIn } from '../support/bench';
import { pick, takeMarked, typeInto } from '../support/forms';
import { expect, test } from '../support/shop';
import { sayExpectedFirst, walkJob } from '../support/walkJob';

const quad = 'Salt-marsh bird counter';

test('another receiver for a quad of the book', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await press(page, 'n');
  await expect(page.getByLabel('Customer', { exact: true })).toBeFocused();
  await page.keyboard.type('Reed');
  await takeMarked(page, 'Known customers', /Reedmere/);
  await takeMarked(page, 'Known quads', /bird counter/);
  await expect(page.getByLabel('In a few words')).toBeFocused();
  await typeInto(page, 'In a few words', 'another receiver');
  await pick(page, 'refit');
  await expect(page.getByRole('radio', { name: 'what is in it: its book' })).toBeChecked();
  await page.getByRole('button', { name: 'Open the job' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('what it came in for');
  const before = (await jobNamed(page, shop.url, quad)).plan.target;

  await test.step('the heap is what is in it; another receiver takes the place of the old one', async () => {
    await press(page, 'p');
    await expect(sentence(page)).toHaveText('Which part comes on, goes, or gives way to another?');
    const heap = page.getByRole('list', { name: 'On the heap' });
    for (let count = 0; count < 20 && !(await heap.locator('[aria-current=true]').innerText()).includes('RX'); count++)
      await press(page, 'ArrowDown');
    await press(page, '8');
    await expect(page.getByLabel('In place of RX')).toBeFocused();
    await page.keyboard.type('teal');
    await takeMarked(page, 'Found', /Teal/);
    await expect(heap).toContainText('Teal serial receiver');
    await expect(heap).toContainText('RX comes off the quad');
    await expect(sentence(page)).toHaveText('It can be wired, and all of it has room. Take this plan?', {
      timeout: 20_000,
    });
    await press(page, 'Enter');
    await expect(page.getByRole('list', { name: 'Margins' })).toBeVisible();
  });

  await test.step('nothing is touched but what hangs on the receiver', async () => {
    const { target } = (await jobNamed(page, shop.url, quad)).plan;
    const isOn = (wire: Wire) => wire.ends.some(({ at }) => 'ref' in at && at.ref.startsWith('RX.'));
    const others = Object.values(before.wires).filter((wire) => !isOn(wire));
    expect(others.length).toBeGreaterThan(10);
    expect(Object.values(target.wires).filter((wire) => !isOn(wire))).toEqual(others);
    expect(target.slots.RX!.model).toBe('teal-rx-c');
    await press(page, 'Escape');
    await sayExpectedFirst(page, shop.url, quad);
    await page.reload();
    const { sentences } = await walkJob(page, shop.url, quad, { until: /^Solder/ });
    expect(sentences.filter((said) => said.startsWith('Take '))).toContain('Take the old receiver off');
    expect(sentences.filter((said) => /ESC|motor/i.test(said) && /^(Take|Unplug|Solder)/.test(said))).toEqual([]);
  });
});
