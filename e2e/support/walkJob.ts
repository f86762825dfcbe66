/**
 * A technician who knows nothing but the page: reads the sentence and the row of answers, presses a key that stands
 * there, says of every meter what a good one shows, and is stopped by a step without a usable key or a bare id.
 */
import type { JobSheet } from '@junctor/core';
import type { Page } from '@playwright/test';
import { expect } from '@playwright/test';
import { jobNamed, listed, press, sentence, under } from './bench';

interface Seen {
  sentences: string[];
  keys: number;
}

interface Walked {
  /** Stops before answering this sentence. */
  until?: RegExp;
  most?: number;
}

/** Answers step after step until the sentence matches, or nothing is left to do. */
export async function walkJob(
  page: Page,
  url: string,
  quad: string,
  { until, most = 900 }: Walked = {},
): Promise<Seen> {
  const ids = idsIn(await jobNamed(page, url, quad));
  const seen: Seen = { sentences: [], keys: 0 };
  for (let count = 0; count < most; count++) {
    await listed(page);
    const said = await sentence(page).innerText();
    seen.sentences.push(said);
    if (until?.test(said) || /^Everything of this job is done/.test(said)) return seen;
    await namesNoId(page, ids);
    // A permit waits until the server has everything.
    await expect(under(page)).not.toHaveText(/^(Waiting until everything is stored|Asking the server)/, {
      timeout: 60_000,
    });
    // Answers wait for what is expected.
    await page.waitForFunction(() => document.querySelector('[data-testid="expected"]')?.textContent !== 'computing');
    const before = await fingerprint(page);
    for (const key of await keysFor(page)) {
      await press(page, key);
      seen.keys += 1;
    }
    await expect.poll(() => fingerprint(page), { message: `nothing answers at “${said}”` }).not.toBe(before);
  }
  throw new Error(`the job goes on after ${most} answers: ${await sentence(page).innerText()}`);
}

/** So that a walk can go by what the page says: a school of the job's plan. */
export async function sayExpectedFirst(page: Page, url: string, quad: string): Promise<void> {
  const { id, plan } = await jobNamed(page, url, quad);
  const changes = [{ path: 'schools/expectation', before: null, after: 'before the answer' }];
  const reply = await page.request.post(`${url}/api/jobs/${id}/plan-changes`, {
    data: { version: plan.version, changes },
  });
  expect(reply.ok(), await reply.text()).toBe(true);
}

/** The sentence with what is asked under it and what is in the answer row. */
async function fingerprint(page: Page): Promise<string> {
  const row = await page.locator('main button[aria-keyshortcuts]').allInnerTexts();
  return [await sentence(page).innerText(), await under(page).innerText(), ...row].join('|');
}

/** The keys that answer what is shown now; a permit waits until all is saved. */
async function keysFor(page: Page): Promise<string[]> {
  let keys: string[] | null = null;
  await expect
    .poll(async () => (keys = await usableKeys(page)), {
      message: `no usable key at “${await sentence(page).innerText()}”`,
    })
    .not.toBeNull();
  return keys!;
}

async function usableKeys(page: Page): Promise<string[] | null> {
  const usable = page.locator('main button[aria-keyshortcuts]:not([aria-disabled="true"])');
  const keys = await usable.evaluateAll((buttons) =>
    buttons.map((button) => [button.getAttribute('aria-keyshortcuts')!, (button as HTMLElement).innerText] as const),
  );
  const labelOf = new Map(keys.map(([key, text]) => [key, text.replace(/\s+/g, ' ')]));
  const said = await sentence(page).innerText();
  if (labelOf.get('9')?.includes('All the rest as listed')) return ['9'];
  if (labelOf.get('4')?.includes('does not stop') && labelOf.get('0')?.includes('silent'))
    return [await tone(page, said)];
  if (labelOf.get('+')?.includes('Without one')) return ['+'];
  if (/sets|sound|silent/.test(labelOf.get('0') ?? '') && labelOf.has('4')) return ['4'];
  const main = labelOf.get('Enter') ?? '';
  if (main.includes('…')) return typed(await number(page, said), labelOf);
  if (labelOf.has('Enter')) return ['Enter'];
  if (labelOf.has('1')) return ['1'];
  return null;
}

/** A number and Enter; where the meter shows none, the key that says so. */
function typed(number: string[], labelOf: ReadonlyMap<string, string>): string[] {
  const open = [...labelOf].find(([, label]) => label.includes('no number'));
  return number.length === 0 && open ? [open[0].toLowerCase()] : [...(number.length === 0 ? '20M' : number), 'Enter'];
}

const toneKeys: readonly (readonly [string, string])[] = [
  ['does not stop', '4'],
  ['many seconds', '3'],
  ['about a second', '2'],
  ['chirp', '1'],
  ['silent', '0'],
];

/** The longest that a good one may show; of the meter itself what it must. */
async function tone(page: Page, said: string): Promise<string> {
  if (/Tips apart/i.test(said)) return '0';
  if (/Tips together/i.test(said)) return '4';
  const expected = page.getByTestId('expected');
  await expect(expected).not.toHaveText('computing');
  const text = await expected.innerText();
  const key = toneKeys.find(([word]) => text.includes(word))?.[1];
  if (!key) throw new Error(`nothing is expected at “${said}”: ${text}`);
  return key;
}

/** A number as a good one shows it, from what the page says is typical; empty: the meter shows none. */
async function number(page: Page, said: string): Promise<string[]> {
  if (/Volts across the main leads/.test(said)) return [...'0.004'];
  const hint = await under(page).innerText();
  const between = /Between ([\d.]+) and ([\d.]+) V/.exec(hint);
  if (between) return [...String(Math.round(((Number(between[1]) + 2 * Number(between[2])) / 3) * 10) / 10)];
  const main = page.getByRole('main');
  const grams =
    /catalogue says\s+([\d.]+) g/.exec(await main.innerText()) ?? /dry: (\d+) to/.exec(await main.innerText());
  if (grams) return [...grams[1]!];
  const expected = page.getByTestId('expected');
  const text = (await expected.count()) > 0 ? await expected.innerText() : '';
  if (text.endsWith('open')) return [];
  const band = /([\d.]+)( ?[kMmµ]?) to ([\d.]+)( ?[kMmµ]?)/.exec(text);
  if (!band) throw new Error(`no number is typical at “${said}”: ${text}`);
  const prefix = band[4]!.trim();
  const [low, high] = [Number(band[1]) * scale(band[2]!.trim(), prefix), Number(band[3])];
  return [...String(Math.round(((low + high) / 2) * 100) / 100), ...prefix];
}

function scale(from: string, to: string): number {
  const factors: Readonly<Record<string, number>> = { '': 1, k: 1e3, M: 1e6, m: 1e-3, µ: 1e-6 };
  return factors[from]! / factors[to]!;
}

/** Ids of wires, plugs and housings of a plan that no print on a board has. */
function idsIn({ plan }: JobSheet): ReadonlySet<string> {
  const { wires, mates, housings, slots } = plan.target;
  const ids = [...Object.keys(wires), ...Object.keys(mates), ...Object.keys(housings)];
  return new Set(ids.filter((id) => !(id in slots) && !/^[A-C]\d$|^J\d$/.test(id)));
}

async function namesNoId(page: Page, ids: ReadonlySet<string>): Promise<void> {
  const words = (await page.getByRole('main').innerText()).split(/[\s,;:()“”?.]+/);
  const bare = words.filter((word) => ids.has(word));
  expect(bare, `ids on the page at “${await sentence(page).innerText()}”`).toEqual([]);
}
