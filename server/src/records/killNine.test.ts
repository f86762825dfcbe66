/**
 * Twenty kill -9 at random moments of a writing client, of the server and of its durable database: nothing acknowledged
 * is lost or doubled.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import type { Client } from '../testing';
import { firstLead, openJob, runShop, sent } from '../testing';

const kills = 20;

/** The log, as soon as the database that was killed last is back. */
async function logOnceBack(client: Client, quadId: string): Promise<{ id: string; seq: number }[]> {
  for (let attempt = 0; attempt < 150; attempt++) {
    const reply = await client.get(`/quads/${quadId}/records`).catch(() => null);
    if (reply?.status === 200) return reply.body as unknown as { id: string; seq: number }[];
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  throw new Error('the log cannot be read after the last kill');
}

it(`survives ${kills} kill -9`, async () => {
  const folder = mkdtempSync(join(tmpdir(), 'junctor-kill-'));
  const shop = await runShop(folder, { empty: true, durable: true });
  try {
    const client = await firstLead(shop.url);
    const { quadId, jobId } = await openJob(client);
    const acknowledged: string[] = [];
    let writing = true;
    const write = async () => {
      let batch: ReturnType<typeof sent>[] = [];
      while (writing || batch.length > 0) {
        if (batch.length === 0)
          batch = Array.from({ length: 1 + Math.floor(Math.random() * 3) }, () =>
            sent(client, jobId, { saw: 'caution', id: 'ventilated' }),
          );
        // A batch is sent again until it is acknowledged: an answer may be lost after the commit.
        const reply = await client.post(`/quads/${quadId}/records`, { records: batch }).catch(() => null);
        if (reply?.status === 200) {
          acknowledged.push(...batch.map(({ id }) => id));
          batch = [];
        } else await new Promise((resolve) => setTimeout(resolve, 60));
      }
    };
    const writer = write();
    for (let kill = 0; kill < kills; kill++) {
      await new Promise((resolve) => setTimeout(resolve, 100 + Math.random() * 500));
      if (kill % 4 === 3) shop.killDatabase();
      else {
        await shop.killServer();
        await shop.startAgain();
      }
    }
    writing = false;
    await writer;
    const log = await logOnceBack(client, quadId);
    const ids = log.map(({ id }) => id);
    expect(acknowledged.length).toBeGreaterThan(kills);
    expect(new Set(ids).size).toBe(ids.length);
    expect([...ids].sort()).toEqual([...acknowledged].sort());
    expect(log.map(({ seq }) => seq)).toEqual(log.map((_, index) => index + 1));
    console.log(`${kills} kills, ${acknowledged.length} acknowledged records, each there once`);
  } finally {
    await shop.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}, 360_000);
