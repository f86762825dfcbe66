/**
 * Three faults that nobody has told anybody, in an aircraft whose every answer is simulated apart from the program: the
 * list alone finds them, says what each can be, and is asked again where work was done.
 */
import type { Build, JobSheet, Meter, Touch, TouchesReply } from '@junctor/core';
import { assemble, jointWords, makeCatalogue, probeWords } from '@junctor/core';
import { shippedMeters, shippedModels } from '@junctor/catalogue';
import { TrueMeter } from '@junctor/proof';
import type { Bridge } from '@junctor/proof';
import type { Page } from '@playwright/test';
import { answer, jobNamed, press, proveMeter, readable, sentence, signIn, takeUp } from '../support/bench';
import { expect, test } from '../support/shop';
import { workUntil } from '../support/workOn';

test.describe.configure({ timeout: 300_000 });

const quad = 'Vineyard frost-patrol';
const meter: Meter = { id: 'meter', ...shippedMeters[0]! };
const catalogue = makeCatalogue(shippedModels());
const lengthKeys = { none: '0', chirp: '1', 'about a second': '2', 'many seconds': '3', 'does not stop': '4' } as const;

interface Hidden {
  /** What has to stand among the causes. */
  named: RegExp;
  bridge?: Bridge;
  /** A joint that holds nothing. */
  open?: { wire: string; end: 0 | 1 };
}

/** The aircraft with what is wrong with it now. */
function truthOf(planned: Build, faults: readonly Hidden[]): TrueMeter {
  const wires = { ...planned.wires };
  for (const { open } of faults) {
    if (!open) continue;
    const [a, b] = wires[open.wire]!.ends;
    const air = { at: { on: 'air', end: 'bare' }, by: 'none' } as const;
    wires[open.wire] = { ...wires[open.wire]!, ends: open.end === 0 ? [air, b] : [a, air] };
  }
  const bridges = faults.flatMap(({ bridge }) => bridge ?? []);
  return new TrueMeter({ build: { ...planned, wires }, catalogue, meter, bridges });
}

async function say(page: Page, { length, value, open }: ReturnType<TrueMeter['answer']>): Promise<void> {
  await expect(page.getByTestId('expected')).not.toHaveText('computing');
  if (length) return answer(page, lengthKeys[length]);
  if (open) return answer(page, 'o');
  for (const digit of value!.toFixed(3)) await press(page, digit);
  await answer(page, 'Enter');
}

/** Which touch a sentence asks for. */
function touchesBySentence({ plan }: JobSheet, { list }: TouchesReply): ReadonlyMap<string, Touch> {
  const target = assemble(plan.target, catalogue);
  const words = ({ black, red }: Touch) => `lack on ${probeWords(black, target)}, red on ${probeWords(red, target)}`;
  return new Map(list!.touches.map(({ touch }) => [`${touch.mode} ${words(touch)}`, touch]));
}

test('three hidden faults are found by the list alone', async ({ page, shop }) => {
  await signIn(page, shop.url);
  await workUntil(page, shop.url, quad, 'prove');
  await takeUp(page);
  await expect(sentence(page)).toHaveText('Volts across the main leads');
  await proveMeter(page);
  const job = await jobNamed(page, shop.url, quad);
  const reply = await page.request.get(`${shop.url}/api/jobs/${job.id}/touches`);
  const touchOf = touchesBySentence(job, (await reply.json()) as TouchesReply);
  const words = (joint: string) => jointWords(joint, assemble(job.plan.target, catalogue));
  let hidden: Hidden[] = [
    { named: new RegExp(`joint open: ${words('M4-C.b')}`), open: { wire: 'M4-C', end: 1 } },
    { named: new RegExp(`joint open: ${words('W3.b')}`), open: { wire: 'W3', end: 1 } },
    { named: /solder bridge: between FC T2 and FC R2/, bridge: { a: 'FC.TX2', b: 'FC.RX2', ohms: 0.1 } },
  ];
  const found: RegExp[] = [];
  let truth = truthOf(job.plan.target, hidden);
  for (let count = 0; count < 400; count++) {
    const now = await sentence(page).innerText();
    if (/propellers/.test(now)) break;
    const touch = touchOf.get(`${/iode volts/.test(now) ? 'diode' : 'tone'} ${now.slice(now.indexOf('lack on'))}`);
    if (touch) {
      await say(page, truth.answer(touch));
      continue;
    }
    if (!now.startsWith('Stop.')) {
      await answer(page, 'Enter');
      continue;
    }
    const causes = page.getByRole('list', { name: 'What it can be' });
    await expect(causes).not.toContainText('Trying');
    const lines = await causes.getByRole('listitem').allInnerTexts();
    const fault = hidden.find(({ named }) => lines.some((line) => named.test(line)));
    expect(fault, `${now}: ${lines.join(' | ')}`).toBeDefined();
    if (found.length === 0) await readable(page);
    found.push(fault!.named);
    hidden = hidden.filter((one) => one !== fault);
    truth = truthOf(job.plan.target, hidden);
    await answer(page, String(1 + lines.findIndex((line) => fault!.named.test(line))));
    await expect(sentence(page)).toContainText('Rework the joint');
  }
  expect(found).toHaveLength(3);
  expect(hidden).toEqual([]);
});
