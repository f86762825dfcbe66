/** From the Floor to a logged fault, with the keyboard alone. */
import {
  answer,
  enterUntil,
  logOf,
  press,
  proveMeter,
  quadId,
  sentence,
  signIn,
  takeUp,
  touchUntil,
  under,
  readable,
} from '../support/bench';
import { typeInto } from '../support/forms';
import { expect, test } from '../support/shop';

const main = { black: 'BAT.MINUS', red: 'BAT.PLUS' };

test.describe.configure({ timeout: 300_000 });

test('a job from the Floor to the logged fault', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();

  await test.step('the job opens where it was left', async () => {
    await takeUp(page);
    await expect(sentence(page)).toContainText('lead B of motor M3 to the ESC, pad B3');
    await expect(page.getByRole('img', { name: /ESC, top up, ring on B3: planned, empty/ })).toBeVisible();
  });

  await test.step('a joint on another pad than planned is recorded where it went, and the plan can follow', async () => {
    await press(page, '7');
    await press(page, 'ArrowRight');
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Lead B of motor M3 is on C3, planned was B3');
    await expect(under(page)).toContainText('No rule objects');
    await answer(page, '1');
    await expect(sentence(page)).toContainText('lead C of motor M3 to the ESC, pad B3');
    await answer(page, 'Enter');
  });

  await test.step('a look that finds something leads to rework, and is asked again', async () => {
    await expect(sentence(page)).toHaveText('Look at the 3 joints of motor M3');
    await press(page, '2');
    await answer(page, '2');
    await expect(sentence(page)).toHaveText('What is wrong with lead B of motor M3 on ESC C3?');
    await answer(page, '1');
    await expect(sentence(page)).toHaveText('Between which pads is the bridge?');
    await answer(page, '1');
    await expect(sentence(page)).toContainText('Rework the joint: lead B of motor M3 on ESC C3');
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Look at the 3 joints of motor M3');
    await answer(page, 'Enter');
  });

  await test.step('the controller: a wrong pad that destroys hardware is said at once, and moved', async () => {
    await enterUntil(page, /red wire to the flight controller/);
    await press(page, '7');
    for (const letter of 'bat') await press(page, letter);
    await answer(page, 'Enter');
    await expect(under(page)).toContainText('Destroys hardware: RX 5V withstands 6 V and would get 25.2 V');
    await answer(page, 'Enter');
    await expect(sentence(page)).toContainText('red wire to the flight controller, pad 5V by R2');
    await enterUntil(page, /Volts across the main leads/);
  });

  await test.step('left-over charge is not accepted', async () => {
    for (const key of '0.31') await press(page, key);
    await press(page, 'Enter');
    await expect(under(page)).toContainText('bleed through 100 Ω to 1 kΩ');
    await expect(sentence(page)).toHaveText('Volts across the main leads');
    await proveMeter(page);
  });

  await test.step('continuity: a surprise is asked twice, stops, is reworked and repeated', async () => {
    await touchUntil(page, /^Black on ESC [ABC]4, red on ESC [ABC]4/);
    await expect(page.getByTestId('expected')).toHaveText('does not stop');
    await answer(page, '0');
    await expect(sentence(page)).toContainText('Once more');
    await answer(page, '0');
    await expect(sentence(page)).toContainText(/Stop\. ESC [ABC]4 to ESC [ABC]4: silent/);
    const causes = page.getByRole('list', { name: 'What it can be' });
    await expect(causes).toContainText(/joint open: lead [ABC] of motor M4 on ESC [ABC]4/);
    await readable(page);
    const suspects = await causes.locator('li').allInnerTexts();
    const place = suspects.findIndex((line) => /joint open: lead [ABC] of motor M4/.test(line)) + 1;
    await answer(page, String(place));
    await expect(sentence(page)).toContainText(/Rework the joint: lead [ABC] of motor M4/);
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Look at the 3 joints of motor M4');
    await answer(page, 'Enter');
    await touchUntil(page, /propellers/);
  });

  await test.step('first power: cautions, pack, permit, signs', async () => {
    await enterUntil(page, /Which limiter is in line/);
    await press(page, '1');
    await press(page, '1');
    for (const key of '27.5') await press(page, key);
    await press(page, 'Enter');
    await expect(under(page)).toContainText('27.5 V is more than 6 cells give');
    await press(page, '1');
    await press(page, '1');
    for (const key of '23.1') await press(page, key);
    await answer(page, 'Enter');
    await expect(sentence(page)).toContainText('Ask for the permit');
    await answer(page, 'Enter');
    await expect(sentence(page)).toContainText('Plug in through the limiter');
    await answer(page, 'Enter');
    for (let sign = 0; sign < 6; sign++) await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Pull the plug, then record');
    await answer(page, 'Enter');
    await expect(sentence(page)).toContainText('frame screws tight, crosswise');
    await answer(page, 'Enter');
    await expect(sentence(page)).toContainText('Turn each motor by hand');
    await answer(page, 'Enter');
    await expect(sentence(page)).toHaveText('Weigh the quad dry: no pack, no propellers');
  });

  await test.step('a fault is logged and found in the quad’s book, with who and when', async () => {
    await press(page, '*');
    await press(page, '3');
    await press(page, '5');
    await expect(page.getByLabel('What was seen or heard')).toHaveValue('will not flow');
    await typeInto(page, 'Why, as far as known', 'tip too small for the plane');
    await typeInto(page, 'What was done', 'wide tip, joint remade');
    await page.keyboard.press('Tab');
    await page.keyboard.type('9');
    await page.keyboard.press('Enter');
    await expect(sentence(page)).toHaveText('Mend the fault: will not flow');
    const id = await quadId(page, shop.url, 'Vineyard');
    await page.goto(`${shop.url}/quads/${id}/book`);
    await expect(page.getByRole('heading', { name: 'Faults: 1, 1 open' })).toBeVisible();
    await expect(page.getByRole('article')).toContainText('will not flow: open');
    await expect(page.getByRole('article')).toContainText('Bram Tolley');
  });

  await test.step('the server has it all, in order, in the technician’s name', async () => {
    const log = await logOf(page, shop.url, await quadId(page, shop.url, 'Vineyard'));
    expect(log.map(({ seq }) => seq)).toEqual(log.map((_, index) => index + 1));
    const bodies = log.map(({ body }) => body);
    expect(bodies).toContainEqual(
      expect.objectContaining({
        do: 'land',
        wire: 'M3-B',
        as: expect.objectContaining({ at: { on: 'terminal', ref: 'ESC.C3' } }),
      }),
    );
    expect(bodies).toContainEqual(
      expect.objectContaining({
        do: 'land',
        wire: 'W1',
        as: expect.objectContaining({ at: { on: 'terminal', ref: 'FC.VB1' } }),
      }),
    );
    const readings = log
      .filter(({ body }) => body.saw === 'reading')
      .map(
        ({ body }) =>
          body.reading as { touch: { black: string; red: string }; verdict: string; heard: { length: string } },
      );
    expect(readings.filter(({ verdict }) => verdict === 'stop')).toHaveLength(1);
    expect(readings.find(({ touch }) => touch.black === main.black && touch.red === main.red)?.verdict).toBe('pass');
    const permit = log.find(({ body }) => body.saw === 'permit');
    const power = log.find(({ body }) => body.saw === 'power');
    expect(power?.body.permit).toBe(permit?.id);
    expect(power?.body.verdict).toBe('pass');
    expect(log.filter(({ body }) => body.saw === 'fault')).toHaveLength(1);
    expect(new Set(log.slice(30).map(({ person }) => person))).toEqual(new Set(['Bram Tolley']));
  });
});
