/** Everything that can be looked at has an address: by a link, by Back, after a reload, and when it leads nowhere. */
import type { Page } from '@playwright/test';
import { answer, jobNamed, press, readable, sentence, signIn, takeUp } from '../support/bench';
import { expect, test } from '../support/shop';

/** Where work begins: a field, the main answer, a list, or the sentence where nothing may be answered yet. */
async function focusOf(page: Page): Promise<string> {
  return page.evaluate(() => {
    const active = document.activeElement!;
    if (active.hasAttribute('data-main')) return 'main answer';
    return active.tagName === 'H1' ? 'heading' : active.tagName.toLowerCase();
  });
}

test('each place of a job by link, by reload, by Back', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await takeUp(page);
  const job = await jobNamed(page, shop.url, 'Vineyard frost-patrol');
  const at = `${shop.url}/jobs/${job.id}`;
  const joint = encodeURIComponent('M3-B.b');
  const places: readonly [path: string, heading: RegExp, title: RegExp, focus: string][] = [
    ['', /^Solder lead B of motor M3/, /^Bench: Vineyard/, 'main answer'],
    ['/step/land%3AM1-A.b', /^Looking: Solder lead A of motor M1/, /^Looking: /, 'main answer'],
    ['/why', /^Why now/, /^Why now: /, 'main answer'],
    [`/other-pad/${joint}/ESC.C3`, /^Where did lead B of motor M3/, /^Other pad: /, 'main answer'],
    ['/problem', /^What is the problem/, /^Problem: /, 'heading'],
    ['/problem/bridge', /^Bridge/, /^Problem: /, 'heading'],
    ['/fault?symptom=hot', /^Log a fault/, /^Log a fault/, 'input'],
    ['/take-back', /^Take back/, /^Take back: /, 'main answer'],
    ['/wiring', /^Which pad takes/, /^Wiring: /, 'heading'],
    [`/wiring/${joint}`, /^Which pad takes lead B of motor M3/, /^Wiring: /, 'heading'],
    ['/wire/W1', /^What wire is|^The plan has no such wire/, /: Vineyard/, 'any'],
    ['/boards/FC', /^Flight controller/, /^See all: /, 'main answer'],
    ['/planner', /^What is wanted/, /^Planner: /, 'main answer'],
    ['/supplies', /rail|Look at/, /^Supplies: /, 'main answer'],
    ['/motors', /^Corner/, /^Motors: /, 'main answer'],
    ['/wires', /wires$/, /wires · Junctor$/, 'heading'],
    ['/set-up', /^What the software must be told/, /^What the software/, 'heading'],
    ['/intake', /Flies the rows/, /Flies the rows/, 'heading'],
    ['?slip=ESC.B3', /^Solder lead B of motor M3/, /^Bench: /, 'main answer'],
  ];
  for (const [path, heading, title, focus] of places)
    await test.step(path || 'now', async () => {
      await page.goto(at + path);
      const shown = page.getByRole('heading', { level: 1 });
      await expect(shown).toHaveText(heading, { useInnerText: true });
      await expect(page).toHaveTitle(title);
      if (focus !== 'any') await expect.poll(() => focusOf(page)).toBe(focus);
      const before = await shown.innerText();
      await page.reload();
      await expect(shown).toHaveText(before, { useInnerText: true });
      await expect(page).toHaveTitle(title);
    });
});

test('what was opened is left by Back, and Esc is the same way', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await takeUp(page);
  const now = page.url();
  const bench = 'Solder lead B of motor M3 to the ESC, pad B3';
  const opened: readonly [keys: readonly string[], heading: RegExp, address: RegExp][] = [
    [['8'], /^Why now/, /\/why$/],
    [['-'], /^Looking/, /\/step\//],
    [['-', '-', '-'], /^Looking/, /\/step\//],
    [['7', 'ArrowRight'], /^Where did/, /\/other-pad\/.*C3$/],
    [['*'], /^What is the problem/, /\/problem$/],
    [['z'], /^Take back/, /\/take-back$/],
    [['m'], /^Which pad takes/, /\/wiring$/],
    [['m', '+'], /^Which pad takes/, /\/wiring\/.+$/],
  ];
  for (const [keys, heading, address] of opened)
    await test.step(keys.join(' '), async () => {
      for (const key of keys) await press(page, key);
      await expect(sentence(page)).toHaveText(heading);
      await expect(page).toHaveURL(address);
      await page.goBack();
      await expect(sentence(page)).toHaveText(bench);
      await expect(page).toHaveURL(now);
    });
  await test.step('from the wiring to planner and board, and back one at a time', async () => {
    for (const [key, heading] of [
      ['4', 'What is wanted'],
      ['0', 'ESC'],
      ['6', 'rail'],
      ['7', 'Corner'],
    ] as const) {
      await press(page, 'm');
      await expect(sentence(page)).toContainText('Which pad takes');
      await press(page, key);
      await expect(sentence(page)).toContainText(heading === 'rail' ? /rail|Look at/ : heading);
      await press(page, 'Escape');
      await expect(sentence(page)).toContainText('Which pad takes');
      await press(page, 'Escape');
      await expect(sentence(page)).toHaveText(bench);
      await expect(page).toHaveURL(now);
    }
    await page.goBack();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Take one up');
  });
  await test.step('the slip of a pad, from its plate', async () => {
    await press(page, '1');
    await expect(sentence(page)).toHaveText(bench);
    await page.getByRole('link', { name: 'B3' }).focus();
    await page.keyboard.press('Enter');
    const slip = page.getByRole('region', { name: 'Slip of ESC B3' });
    await expect(slip).toContainText('lead B of motor M3');
    await readable(page);
    await page.goBack();
    await expect(slip).toHaveCount(0);
    await page.goForward();
    await expect(slip).toBeVisible();
    await press(page, 'Escape');
    await expect(slip).toHaveCount(0);
    await expect(page).toHaveURL(now);
  });
});

test('an address that leads nowhere says what it is, and a way on', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await takeUp(page);
  const { id, quadId } = await jobNamed(page, shop.url, 'Vineyard frost-patrol');
  const nobody = '0199aaaa-0000-7000-8000-000000000000';
  const inJob = [
    '/step/land%3Anothing',
    '/step/%00%3C',
    '/boards/ZZ',
    '/finding/none',
    '/wiring/nothing',
    '/wire/nothing',
  ];
  for (const path of [
    ...inJob,
    '/other-pad/x/y',
    '/other-pad/M3-B.b/ESC.XX',
    '/other-pad/M3-B.b/y',
    '/nowhere',
    '?slip=nonsense',
  ])
    await test.step(path, async () => {
      await page.goto(`${shop.url}/jobs/${id}${path}`);
      await expect(page.getByRole('heading', { name: /no such|No such|No rule says|not in hand/ })).toBeVisible();
      await press(page, path.startsWith('?') ? 'Escape' : 'Enter');
      await expect(sentence(page)).toContainText('Solder lead B of motor M3');
    });
  for (const path of [
    `/jobs/${nobody}`,
    '/jobs/nonsense',
    `/jobs/${quadId}/wiring`,
    `/quads/${nobody}/book`,
    '/quads/%3Cscript%3E/book',
    '/stores/models/nothing',
    `/stores/parts/${nobody}`,
    '/stores/parts/nonsense',
    `/new/${nobody}`,
    `/new/${nobody}/${nobody}`,
    '/nowhere/at/all',
  ])
    await test.step(path, async () => {
      await page.goto(`${shop.url}${path}`);
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(/cannot be shown|no such place/);
      await expect(page.getByRole('alert')).not.toBeEmpty();
      await page.getByRole('navigation').getByRole('link', { name: 'Floor' }).focus();
      await page.keyboard.press('Enter');
      await expect(page.getByRole('heading', { level: 1 })).toContainText('Take one up');
    });
});

test('a drawing that fails takes nothing with it', async ({ page, shop }) => {
  // A part model that came damaged: its lamps and buttons are no list.
  await page.route('**/api/catalogue/models', async (route) => {
    const response = await route.fetch();
    const models = (await response.json()) as { id: string; body: { openings: unknown } }[];
    for (const model of models) if (model.id.includes('esc')) model.body.openings = null;
    await route.fulfill({ response, json: models });
  });
  await signIn(page, shop.url);
  await takeUp(page);
  const left = page.getByRole('region', { name: /^Left hand/ });
  await expect(left.getByRole('alert')).toContainText('The left hand cannot be drawn');
  await expect(left.getByRole('button', { name: 'Draw it again' })).toBeVisible();
  await expect(page.getByRole('region', { name: /^Right hand/ })).toContainText('motor M3');
  await readable(page);
  await answer(page, 'Enter');
  await expect(sentence(page)).toContainText('lead C of motor M3');
  await answer(page, 'Enter');
  await expect(sentence(page)).toContainText('Look at the 3 joints of motor M3');
  const { quadId } = await jobNamed(page, shop.url, 'Vineyard frost-patrol');
  await page.waitForFunction(() => !Object.keys(localStorage).some((key) => key.startsWith('junctor.outbox.')));
  const records = (await (await page.request.get(`${shop.url}/api/quads/${quadId}/records`)).json()) as unknown[];
  expect(records.length).toBeGreaterThan(50);
  await test.step('and a form keeps what was typed over a reload', async () => {
    await press(page, '*');
    await press(page, '6');
    await press(page, '5');
    await expect(page.getByLabel('What was seen or heard')).toBeFocused();
    await page.keyboard.type('smells of resin');
    await page.reload();
    await expect(page.getByLabel('What was seen or heard')).toHaveValue('smells of resin');
  });
});
