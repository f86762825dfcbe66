/** A technician at the keyboard: signs in, reads the sentence, answers by key. */
import AxeBuilder from '@axe-core/playwright';
import type { JobSheet } from '@junctor/core';
import type { Page } from '@playwright/test';
import { expect } from '@playwright/test';

const technician = { name: 'Bram Tolley', password: 'saltpan-bench' };
export const lead = { name: 'Oda Quill', password: 'saltpan-lead' };

export async function signIn(page: Page, url: string, { name, password } = technician): Promise<void> {
  await page.goto(url);
  await expect(page.getByLabel('Name')).toBeFocused();
  await page.keyboard.type(name);
  await page.keyboard.press('Tab');
  await page.keyboard.type(password);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('who is at the bench');
}

/** Takes up the demo job from the Floor: it opens where it was left. */
export async function takeUp(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'Vineyard frost-patrol' })).toBeVisible();
  await press(page, '1');
  await expect(sentence(page)).toBeVisible();
}

export function sentence(page: Page) {
  return page.getByTestId('sentence');
}

export function under(page: Page) {
  return page.getByTestId('under');
}

/** Nothing on the page that axe objects to. */
export async function readable(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`),
  ).toEqual([]);
}

/** Presses one key; Enter only once it answers again. */
export async function press(page: Page, key: string): Promise<void> {
  if (key === 'Enter') await page.locator('body:not([data-enter="settling"])').waitFor();
  await page.keyboard.press(key);
}

/** Presses a key that answers the step, and waits until the sentence is another one. */
export async function answer(page: Page, key: string): Promise<void> {
  const before = await sentence(page).innerText();
  await press(page, key);
  await expect(sentence(page)).not.toHaveText(before, { useInnerText: true });
}

/** Answers with Enter until the sentence matches. */
export async function enterUntil(page: Page, wanted: RegExp, most = 60): Promise<void> {
  for (let count = 0; count < most; count++) {
    const now = await sentence(page).innerText();
    if (wanted.test(now)) return;
    await answer(page, 'Enter');
  }
  throw new Error(`did not come to ${String(wanted)}`);
}

/** From the intake sheet to the first thing at the bench: everything counted in, nothing measured on loose parts. */
export async function throughKit(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'How hard and how long' })).toBeVisible();
  await press(page, 'Enter');
  await expect(sentence(page)).toContainText('on the table');
  await answer(page, '9');
  for (let count = 0; count < 40; count++) {
    const said = await sentence(page).innerText();
    if (said.includes('Fumes away')) return;
    if (isLayout(said)) await signLayout(page);
    else await answer(page, '+');
  }
  throw new Error('the kit does not end');
}

/** The step zero of a new build, by its sentence: a margin, or that they are worked out. */
function isLayout(said: string): boolean {
  return /^([●◐▲○] |Every place and every turn)/.test(said);
}

/** Everything fits, at least as it is drawn: signed. */
export async function signLayout(page: Page): Promise<void> {
  await expect(page.getByRole('list', { name: 'Margins' })).toBeVisible();
  await press(page, 'Enter');
  await expect.poll(async () => isLayout(await sentence(page).innerText())).toBe(false);
}

/** What no margin knows is looked at: a picture stands for it. */
export async function pictureLayout(page: Page): Promise<void> {
  await expect(sentence(page)).toContainText('look, and take a picture of it (P)');
  await press(page, 'p');
  await expect(sentence(page)).toHaveText('Take a picture of it as it lies');
  const buffer = await page.screenshot({ clip: { x: 0, y: 0, width: 300, height: 200 } });
  await page.getByLabel('Picture of the layout').setInputFiles({ name: 'dry.png', mimeType: 'image/png', buffer });
  await expect(sentence(page)).toContainText('looked at, a picture shows it');
}

/** From the volts across the main leads to the first touch: nothing left on them, the meter sounds when it should. */
export async function proveMeter(page: Page): Promise<void> {
  for (const key of '0.004') await press(page, key);
  await press(page, 'Enter');
  await press(page, '0');
  await answer(page, '4');
}

const lengthKey: readonly (readonly [string, string])[] = [
  ['does not stop', '4'],
  ['about a second', '2'],
  ['chirp', '1'],
  ['silent', '0'],
];

/** What is expected is said after the answer, unless the job wants it before: then a journey can go by it. */
async function sayExpectedBefore(page: Page): Promise<void> {
  await answer(page, '8');
  await press(page, '1');
  await expect(page.getByText('what is expected is said before the answer')).toBeVisible();
  await answer(page, 'Enter');
}

/** Waits while the touches of a wiring that does not ship are worked out. */
export async function listed(page: Page): Promise<void> {
  await expect(sentence(page)).not.toHaveText('Wait for the list of touches', { timeout: 120_000 });
  // What a loose part is asked follows from the same list.
  await expect(under(page)).not.toContainText('it is being worked out', { timeout: 120_000 });
}

/** Answers a touch as a good build would show it: with the longest tone that it may show, or the middle of a band. */
export async function answerTouch(page: Page): Promise<void> {
  await listed(page);
  const expected = page.getByTestId('expected');
  await expect(expected).not.toHaveText('computing');
  if ((await expected.innerText()) === 'said after your answer') await sayExpectedBefore(page);
  await expect(expected).not.toHaveText('computing');
  const text = await expected.innerText();
  const key = text.endsWith('open') ? 'o' : lengthKey.find(([word]) => text.includes(word))?.[1];
  if (key) return answer(page, key);
  const band = /([\d.]+) to ([\d.]+) V/.exec(text);
  if (!band) throw new Error(`no answer for ${text}`);
  await answerVolts(page, ((Number(band[1]) + Number(band[2])) / 2).toFixed(3));
}

/** Types what the meter shows, and waits until the sentence is another one. */
async function answerVolts(page: Page, volts: string): Promise<void> {
  for (const digit of volts) await press(page, digit);
  await answer(page, 'Enter');
}

/** Answers touches until the sentence matches. */
export async function touchUntil(page: Page, wanted: RegExp, most = 200): Promise<void> {
  for (let count = 0; count < most; count++) {
    await listed(page);
    if (wanted.test(await sentence(page).innerText())) return;
    await answerTouch(page);
  }
  throw new Error(`did not come to ${String(wanted)}`);
}

/** The quad's log, as the server has it: the page goes on before that, so what it has kept is waited for. */
export async function logOf(page: Page, url: string, quadId: string): Promise<LogRecord[]> {
  await page.waitForFunction(() => !Object.keys(localStorage).some((key) => key.startsWith('junctor.outbox.')));
  const response = await page.request.get(`${url}/api/quads/${quadId}/records`);
  expect(response.ok()).toBe(true);
  return (await response.json()) as LogRecord[];
}

interface LogRecord {
  id: string;
  seq: number;
  step: string | null;
  person: string;
  replaces?: string;
  body: Record<string, unknown> & { do?: string; saw?: string };
}

/** Id of a quad by its name. */
export async function quadId(page: Page, url: string, name: string): Promise<string> {
  const response = await page.request.get(`${url}/api/quads?q=${encodeURIComponent(name)}`);
  const [quad] = (await response.json()) as { id: string }[];
  if (!quad) throw new Error(`no quad ${name}`);
  return quad.id;
}

/** The open job of a quad, by its name. */
export async function jobNamed(page: Page, url: string, quad: string): Promise<JobSheet> {
  const get = async <T>(path: string) => (await (await page.request.get(`${url}/api${path}`)).json()) as T;
  const line = (await get<{ jobId: string; quad: string }[]>('/floor')).find((open) => open.quad === quad);
  if (!line) throw new Error(`no open job of ${quad}`);
  return get<JobSheet>(`/jobs/${line.jobId}`);
}
