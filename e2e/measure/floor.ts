/** The Floor asked again while nothing moved, on a real MariaDB: held against the query of its stamps alone. */
import { atMost, median } from '@junctor/proof';
import type { Measurement } from '@junctor/proof';
import { firstLead, makeFloor, openJob, startTestShop } from '@junctor/server/testing';

export async function floor(): Promise<Measurement[]> {
  const shop = await startTestShop();
  try {
    const lead = await firstLead(shop.url);
    const ask = makeFloor(shop.shop);
    const measured: Measurement[] = [];
    let open = 0;
    for (const jobs of [24, 200]) {
      for (; open < jobs; open++) await openJob(lead);
      const polls: [stamps: number, poll: number][] = [];
      for (let turn = 0; turn < 60; turn++) {
        const stamps = await taken(() => shop.shop.database.rows('jobs/listViewStamps'));
        const poll = await taken(() => ask.now());
        polls.push([stamps, poll]);
      }
      // The first turns fill caches; a warm poll is meant.
      const [stampsMs, pollMs] = ([0, 1] as const).map((at) => median(polls.slice(20).map((poll) => poll[at])));
      measured.push(
        atMost(`warm poll of the Floor with ${jobs} open jobs, against its stamps (${stampsMs!.toFixed(2)} ms):`, {
          value: pollMs! / stampsMs!,
          unit: 'times',
          bar: 3,
          digits: 2,
        }),
      );
    }
    return measured;
  } finally {
    await shop.stop();
  }
}

async function taken(work: () => Promise<unknown>): Promise<number> {
  const from = performance.now();
  await work();
  return performance.now() - from;
}
