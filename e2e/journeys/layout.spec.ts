/** Step zero of a new build, by keyboard: what does not fit is found, mended and signed before the first joint. */
import {
  answer,
  jobNamed,
  logOf,
  press,
  quadId,
  readable,
  sentence,
  signIn,
  signLayout,
  under,
} from '../support/bench';
import { newQuad, pick } from '../support/forms';
import { expect, test } from '../support/shop';

test('an 8-inch quad is laid out before its first joint', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await newQuad(page, 'Holm Weir Company', 'Frost watcher');
  await pick(page, /four-in-one ESC and serial/);
  await page.getByRole('button', { name: 'Open the job' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Room' })).toContainText('0.6 mm of thread above the top nut');
  await page.keyboard.press('l');

  await test.step('the worst margin is the sentence, and one key takes the longer screws', async () => {
    await expect(sentence(page)).toHaveText('◐ Thread above the top nut: tight. Take M3 x 25 screws');
    await expect(under(page)).toContainText('M3 x 22 clamps 21.4 mm, squeezed');
    await readable(page);
    await press(page, '4');
    await expect(sentence(page)).not.toContainText('Thread above the top nut');
  });

  await test.step('what a turn makes worse shows before it is made', async () => {
    while (!/USB of FC/.test(await sentence(page).innerText())) await answer(page, 'ArrowDown');
    await press(page, '9');
    await expect(sentence(page)).toContainText('USB of FC: 11.0 mm too little');
    await expect(page.getByText('the software is told')).toBeVisible();
    await press(page, 'Escape');
    await expect(sentence(page)).toContainText('to spare at worst');
  });

  await test.step('a gap that measures less than reckoned is asked again, then believed: tape goes under it', async () => {
    while (!/Gap under ESC/.test(await sentence(page).innerText())) await answer(page, 'ArrowDown');
    await press(page, '5');
    await expect(sentence(page)).toHaveText(
      'Measure the gap between what hangs lowest under ESC and the plate, squeezed',
    );
    await readable(page);
    await page.keyboard.type('1.4');
    await press(page, 'Enter');
    await expect(under(page)).toContainText('is the gauge at nought? If it is so, type it once more');
    await page.keyboard.type('1.4');
    await press(page, 'Enter');
    await expect(sentence(page)).toHaveText(
      '▲ Gap under ESC, squeezed: 0.6 mm too little. Lay insulating tape on the plate',
    );
    await expect(under(page)).toContainText('Measured: 1.4 mm where');
    await expect(page.getByRole('button', { name: /Let it in/ })).toBeVisible();
    // Nobody but a lead lets it in, by no key.
    const { id } = await jobNamed(page, shop.url, 'Frost watcher');
    await page.goto(`${shop.url}/jobs/${id}/layout/let-in`);
    await page.getByLabel('Why, by key or in your own words').focus();
    await page.keyboard.type('it goes in');
    await page.keyboard.press('Enter');
    await expect(under(page)).toContainText('Only a lead lets in what does not fit');
    await expect(sentence(page)).toHaveText('Gap under ESC, squeezed does not hold: may it go in?');
    const log = await logOf(page, shop.url, await quadId(page, shop.url, 'Frost watcher'));
    expect(log.map(({ body }) => body.saw)).not.toContain('layout');
    await page.goto(`${shop.url}/jobs/${id}/layout`);
    await expect(sentence(page)).toContainText('0.6 mm too little');
    await press(page, '4');
    await expect(sentence(page)).not.toContainText('too little');
  });

  await test.step('a part is moved by hand and stays there', async () => {
    while (!/^. RX in /.test(await sentence(page).innerText())) await answer(page, 'ArrowDown');
    await press(page, '6');
    await expect(page.getByRole('button', { name: /Put RX so/ })).toBeVisible();
    await expect(sentence(page)).not.toContainText('too little');
    await press(page, 'Enter');
    await expect(page.getByRole('button', { name: /Sign: it fits/ })).toBeVisible();
    const moved = await poseOf('RX');
    expect(moved).not.toBeNull();
    await signLayout(page);
    expect(await poseOf('RX')).toEqual(moved);
    expect(await poseOf('FC')).not.toBeNull();
    const log = await logOf(page, shop.url, await quadId(page, shop.url, 'Frost watcher'));
    expect(log.at(-1)!.body).toMatchObject({ saw: 'layout', no: [], reason: '' });
  });

  await test.step('the kit asks for the screws that the layout has', async () => {
    const { plan } = await jobNamed(page, shop.url, 'Frost watcher');
    expect(plan.target.stacks?.stack?.screw.lengthMm).toBe(25);
    await expect(page.getByRole('navigation', { name: 'The job as a cord' })).toContainText('Layout passed');
  });

  await test.step('the tape is a step before the board that hides it, and wires have the lengths of this lay', async () => {
    const { id, plan } = await jobNamed(page, shop.url, 'Frost watcher');
    const step = 'say:insulating tape on the plate 0.2 mm under ESC';
    await page.goto(`${shop.url}/jobs/${id}/step/${encodeURIComponent(step)}`);
    await expect(sentence(page)).toHaveText('Looking: Under the ESC: insulating tape on the plate, 0.2 mm');
    const stock = Object.values(plan.target.wires).filter(({ from }) => from === 'stock');
    expect(stock.every(({ lengthMm }) => lengthMm !== null && lengthMm % 5 === 0)).toBe(true);
  });

  await test.step('the cut list is counted out of the stores, once', async () => {
    const { id } = await jobNamed(page, shop.url, 'Frost watcher');
    await page.goto(`${shop.url}/jobs/${id}/cuts`);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('4 wires to cut');
    await readable(page);
    await press(page, 'Enter');
    await expect(page.getByText(/^Cut by the list, /)).toBeVisible();
    await expect(page.getByRole('button', { name: /count it out/ })).toBeHidden();
    const log = await logOf(page, shop.url, await quadId(page, shop.url, 'Frost watcher'));
    expect(log.at(-1)!.body).toMatchObject({ saw: 'cut' });
  });

  await test.step('a wire that was cut shorter is asked again, then the plan takes what the rule says', async () => {
    const { id, plan } = await jobNamed(page, shop.url, 'Frost watcher');
    const wire = Object.values(plan.target.wires).find(({ from }) => from === 'stock')!;
    await page.goto(`${shop.url}/jobs/${id}/length/${encodeURIComponent(wire.id)}`);
    await expect(sentence(page)).toContainText('How long is');
    await readable(page);
    await page.keyboard.type('20');
    await press(page, 'Enter');
    await expect(under(page)).toContainText('with nothing to spare: is the rule at nought?');
    await page.keyboard.type('20');
    await press(page, 'Enter');
    await expect(sentence(page)).not.toContainText('How long is');
    const log = await logOf(page, shop.url, await quadId(page, shop.url, 'Frost watcher'));
    expect(log.at(-1)!.body).toMatchObject({ saw: 'length', wire: wire.id, mm: 20, reckonedMm: wire.lengthMm });
    const after = await jobNamed(page, shop.url, 'Frost watcher');
    expect(after.plan.target.wires[wire.id]!.lengthMm).toBe(20);
  });

  async function poseOf(slot: string) {
    return (await jobNamed(page, shop.url, 'Frost watcher')).plan.target.slots[slot]!.pose;
  }
});
