/**
 * kill -9 at random moments: of the server, of its durable database, of both, while somebody writes, and within a first
 * start. Nothing acknowledged is lost, doubled or out of order, and every start is unaided.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { none, random } from '@junctor/proof';
import type { Measurement } from '@junctor/proof';
import type { Client } from '@junctor/server/testing';
import { firstLead, killDatabaseOf, launchShop, openJob, runShop, sent } from '@junctor/server/testing';

interface Log {
  id: string;
  seq: number;
}

const slowestStartMs = 30_000;

export async function kill(long: boolean): Promise<Measurement[]> {
  const [kills, firstStarts] = long ? [900, 100] : [24, 6];
  const chance = random(97);
  const starts: number[] = [];
  const written = await whileWriting(kills, chance, starts);
  const first = await withinFirstStart(firstStarts, chance, starts);
  const late = starts.filter((ms) => ms > slowestStartMs).length + first.failed;
  return [
    none(
      `acknowledged records lost, doubled or out of order, of ${written.acknowledged} after ${kills} kills:`,
      written.wrong,
    ),
    none(
      `starts that did not come within 30 s, of ${starts.length} after kills, ${firstStarts} of them within a first start (slowest ${(Math.max(...starts) / 1000).toFixed(1)} s):`,
      late,
    ),
  ];
}

async function whileWriting(
  kills: number,
  chance: () => number,
  starts: number[],
): Promise<{ acknowledged: number; wrong: number }> {
  const folder = mkdtempSync(join(tmpdir(), 'junctor-kill-'));
  const shop = await runShop(folder, { empty: true, durable: true });
  try {
    const client = await firstLead(shop.url);
    const { quadId, jobId } = await openJob(client);
    const writer = startWriting(client, quadId, jobId, chance);
    for (let count = 0; count < kills; count++) {
      await pause(60 + chance() * 500);
      const what = chance();
      // The database alone is started again by the server.
      if (what < 0.3 || what >= 0.6) killDatabaseOf(folder);
      if (what >= 0.3) {
        await shop.killServer();
        await withTime(() => shop.startAgain(), starts);
      }
    }
    const acknowledged = await writer.stop();
    const log = await logOnceBack(client, quadId);
    return { acknowledged: acknowledged.length, wrong: differences(log, acknowledged) };
  } finally {
    await shop.stop();
    rmSync(folder, { recursive: true, force: true, maxRetries: 20, retryDelay: 200 });
  }
}

/** Writes small batches until it is stopped; a batch is sent again until it is acknowledged. */
function startWriting(client: Client, quadId: string, jobId: string, chance: () => number) {
  const acknowledged: string[] = [];
  let writing = true;
  const done = (async () => {
    let batch: ReturnType<typeof sent>[] = [];
    while (writing || batch.length > 0) {
      if (batch.length === 0)
        batch = Array.from({ length: 1 + Math.floor(chance() * 3) }, () =>
          sent(client, jobId, { saw: 'caution', id: 'ventilated' }),
        );
      const reply = await client.post(`/quads/${quadId}/records`, { records: batch }).catch(() => null);
      if (reply?.status === 200) {
        acknowledged.push(...batch.map(({ id }) => id));
        batch = [];
      } else await pause(60);
    }
  })();
  return {
    stop: async () => {
      writing = false;
      await done;
      return acknowledged;
    },
  };
}

/** The log, as soon as the database that was killed last is back. */
async function logOnceBack(client: Client, quadId: string): Promise<Log[]> {
  for (let attempt = 0; attempt < 150; attempt++) {
    const reply = await client.get(`/quads/${quadId}/records`).catch(() => null);
    if (reply?.status === 200) return reply.body as unknown as Log[];
    await pause(200);
  }
  throw new Error('the log cannot be read after the last kill');
}

function differences(log: readonly Log[], acknowledged: readonly string[]): number {
  const places = new Map(log.map(({ id }, index) => [id, index]));
  const lost = acknowledged.filter((id) => !places.has(id)).length;
  const doubled = log.length - places.size;
  const order = acknowledged.map((id) => places.get(id) ?? -1);
  const misplaced = order.filter((place, index) => index > 0 && place < order[index - 1]!).length;
  return lost + doubled + misplaced + log.filter(({ seq }, index) => seq !== index + 1).length;
}

/** A fresh folder whose first start is killed a few times, with its database or without; then it has to come. */
async function withinFirstStart(times: number, chance: () => number, starts: number[]): Promise<{ failed: number }> {
  let failed = 0;
  for (let turn = 0; turn < times; turn++) {
    const folder = mkdtempSync(join(tmpdir(), 'junctor-first-'));
    for (let count = 0; count < 1 + Math.floor(chance() * 3); count++) {
      const child = launchShop(folder);
      await pause(150 + chance() * 3500);
      child.kill('SIGKILL');
      if (chance() < 0.5) killDatabaseOf(folder);
    }
    const shop = await withTime(() => runShop(folder, { empty: true, durable: true }), starts).catch(
      (error: unknown) => {
        console.log(`# first start: ${(error as Error).message}`);
        return null;
      },
    );
    if (shop) {
      const client = await firstLead(shop.url);
      if ((await client.get('/floor')).status !== 200) failed += 1;
      await shop.stop();
    } else failed += 1;
    rmSync(folder, { recursive: true, force: true, maxRetries: 20, retryDelay: 200 });
  }
  return { failed };
}

async function withTime<T>(work: () => Promise<T>, into: number[]): Promise<T> {
  const from = performance.now();
  const result = await work();
  into.push(performance.now() - from);
  return result;
}

function pause(ms: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms));
}
