/**
 * From a key to the next step painted, in Chromium, on two jobs that differ only in how long their logs are: median of
 * each side by side, and on the long one at a quarter of the speed; with the tasks that block the page meanwhile.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { QuadRecord } from '@junctor/core';
import { jointName } from '@junctor/core';
import { runShop } from '@junctor/server/testing';
import type { Measurement } from '@junctor/proof';
import { atMost, median } from '@junctor/proof';
import type { CDPSession, Page } from '@playwright/test';
import { chromium } from '@playwright/test';
import { v7 } from 'uuid';
import { signIn } from '../support/bench';
import { workUntil } from '../support/workOn';

const [short, long] = [100, 1000] as const;
const steps = 24;
const slowness = 4;
const longTaskMs = 50;

interface Answered {
  paintedMs: number;
  longTasks: number;
}

export async function pageOfJob(): Promise<Measurement[]> {
  const folder = mkdtempSync(join(tmpdir(), 'junctor-page-'));
  const shop = await runShop(folder, {});
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  try {
    const at = async (records: number, name: string, slow: boolean) => {
      const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
      await signIn(page, shop.url);
      const jobId = await longJob(page, shop.url, name, records);
      const session = await page.context().newCDPSession(page);
      return { page, session, jobId, slow };
    };
    const jobs = [
      await at(short, 'Short log', false),
      await at(long, 'Long log', false),
      await at(long, 'Long log, slow tablet', true),
    ];
    const [ofShort, ofLong, ofSlow] = await answeredInTurn(jobs, shop.url);
    return [
      atMost(
        `key to next step painted, ${long} records against ${short} (${words(ofLong!)} ms, ${words(ofShort!)} ms):`,
        { value: median(paintedMs(ofLong!)) / median(paintedMs(ofShort!)), unit: 'times', bar: 1.5, digits: 2 },
      ),
      atMost(`key to next step painted, ${long} records, ${slowness} times slower, 95 of 100:`, {
        value: quantile(paintedMs(ofSlow!), 0.95),
        unit: 'ms',
        bar: 300,
        digits: 0,
      }),
      atMost(`tasks over ${longTaskMs} ms a step, ${long} records, at full speed, most:`, {
        value: Math.max(...ofLong!.map(({ longTasks }) => longTasks)),
        unit: '',
        bar: 1,
        digits: 0,
      }),
    ];
  } finally {
    await browser.close();
    await shop.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

const paintedMs = (answered: readonly Answered[]) => answered.map((one) => one.paintedMs);
const words = (answered: readonly Answered[]) => median(paintedMs(answered)).toFixed(0);

function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}

/**
 * A job from the shipped template, worked on to its first look, with reworked joints until its log has so many records.
 */
async function longJob(page: Page, url: string, quad: string, records: number): Promise<string> {
  const post = async (path: string, data: object) => {
    const reply = await page.request.post(`${url}/api${path}`, { data });
    if (!reply.ok()) throw new Error(await reply.text());
  };
  const [customerId, quadId, jobId] = [v7(), v7(), v7()];
  await post('/customers', { id: customerId, name: `Customer of ${quad}`, contact: '' });
  await post('/quads', { id: quadId, customerId, name: quad });
  await post('/jobs', {
    id: jobId,
    quadId,
    kind: 'new',
    title: 'new build',
    dueOn: null,
    bench: 1,
    intake: { wants: '', valueMinor: 0, pack: null, propeller: null, extras: [] },
    plan: { template: 'quad-serial-6s' },
  });
  await workUntil(page, url, quad, 'look');
  const log = (await (await page.request.get(`${url}/api/quads/${quadId}/records`)).json()) as QuadRecord[];
  const landed = log.findLast(({ body }) => 'do' in body && body.do === 'land')!;
  const { wire, end } = landed.body as { wire: string; end: 0 | 1 };
  const {
    seq: _seq,
    quadId: _quad,
    arrivedAt: _at,
    person: _person,
    ...sent
  } = landed as QuadRecord & { person: string };
  // As a bench goes: a joint reworked, looked at, something said, a part weighed once more.
  const bodies = [
    { do: 'reheat', wire, end, dwellS: null },
    { saw: 'look', of: jointName(wire, end), grade: 'good', defects: [] },
    { saw: 'caution', id: 'hot iron' },
    { saw: 'weight', what: 'FC', grams: 8.4 },
  ];
  const more = Array.from({ length: records - log.length }, (_, index) => ({
    ...sent,
    id: v7(),
    step: null,
    doneAt: new Date().toISOString(),
    body: bodies[index % bodies.length],
  }));
  for (let from = 0; from < more.length; from += 100)
    await post(`/quads/${quadId}/records`, { records: more.slice(from, from + 100) });
  return jobId;
}

interface Job {
  page: Page;
  session: CDPSession;
  jobId: string;
  slow: boolean;
}

/** Step by step in turn, so that what else the machine does meets all alike. */
async function answeredInTurn(jobs: readonly Job[], url: string): Promise<Answered[][]> {
  for (const { page, session, jobId, slow } of jobs) {
    await page.goto(`${url}/jobs/${jobId}`);
    await page.getByTestId('sentence').waitFor();
    await page.waitForLoadState('networkidle').catch(() => undefined);
    await watch(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: slow ? slowness : 1 });
  }
  const all: Answered[][] = jobs.map(() => []);
  for (let step = 0; step < steps; step++)
    for (const [index, { page }] of jobs.entries()) {
      await page.bringToFront();
      all[index]!.push(await answered(page));
    }
  // The first steps warm up.
  return all.map((list) => list.slice(4));
}

interface Watched {
  watched: { longTasks: number; painted: Promise<number> | null };
}

/** Notes when the sentence has changed and is on the glass, and every long task. */
async function watch(page: Page): Promise<void> {
  // The loader of this file names its functions by a helper that the page does not have.
  await page.evaluate('window.__name = (made) => made');
  await page.evaluate(() => {
    const watched: Watched['watched'] = { longTasks: 0, painted: null };
    Object.assign(window, { watched });
    new PerformanceObserver((list) => (watched.longTasks += list.getEntries().length)).observe({
      entryTypes: ['longtask'],
    });
    window.addEventListener(
      'keydown',
      () => {
        const from = performance.now();
        const before = document.querySelector('[data-testid="sentence"]')!.textContent;
        watched.painted = new Promise((resolve) => {
          const look = () => {
            if (document.querySelector('[data-testid="sentence"]')?.textContent === before) {
              requestAnimationFrame(look);
              return;
            }
            // The frame in which it stands has been made when the next task runs.
            requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - from)));
          };
          requestAnimationFrame(look);
        });
      },
      { capture: true },
    );
  });
}

async function answered(page: Page): Promise<Answered> {
  await page.locator('body:not([data-enter="settling"])').waitFor();
  await page.evaluate(() => ((window as unknown as Watched).watched.longTasks = 0));
  await page.keyboard.press('Enter');
  const painted = await page.evaluate(() => (window as unknown as Watched).watched.painted!);
  // What the server confirms belongs to the step as well.
  await page.waitForFunction(() => !Object.keys(localStorage).some((key) => key.startsWith('junctor.outbox.')));
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve))));
  const longTasks = await page.evaluate(() => (window as unknown as Watched).watched.longTasks);
  return { paintedMs: painted, longTasks };
}
