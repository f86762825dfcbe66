/**
 * What a log costs that grows while somebody looks at it: following it a record at a time, held against reading it at
 * once.
 */
import type { QuadRecord } from '@junctor/core';
import { fold, follow, makeCatalogue, stateOf } from '@junctor/core';
import { shippedMeter, shippedModels, shippedTemplates } from '@junctor/catalogue';
import { demoShop } from '@junctor/demo';
import type { Measurement } from './measurement';
import { atMost } from './measurement';
import { median, timed } from './timed';

const count = 1000;

export async function growth(): Promise<Measurement[]> {
  const catalogue = makeCatalogue(shippedModels());
  const meter = { id: 'm', name: 'm', ...shippedMeter };
  const shop = demoShop({ catalogue, templates: shippedTemplates(), meter, limiterId: 'l', now: new Date(0) });
  const log = long(shop.jobs[0]!.records);
  const oneByOne = () => {
    let known: ReturnType<typeof follow> | null = null;
    for (let length = 1; length <= log.length; length++) known = follow(known, log.slice(0, length), catalogue);
    return known!;
  };
  const same = JSON.stringify(stateOf(oneByOne()).asBuilt.build) === JSON.stringify(fold(log, catalogue).asBuilt.build);
  // Alternating, so that what else the machine does meets both alike; the first turns only warm up.
  const turns = Array.from({ length: 30 }, () => [timed(() => fold(log, catalogue)), timed(oneByOne)] as const);
  const times = turns.slice(10);
  const [atOnceMs, growingMs] = [median(times.map(([atOnce]) => atOnce)), median(times.map(([, growing]) => growing))];
  return [
    atMost(`${count} records one by one against at once (${growingMs.toFixed(0)} ms, ${atOnceMs.toFixed(0)} ms):`, {
      value: growingMs / atOnceMs,
      unit: 'times',
      bar: 2,
      digits: 2,
    }),
    atMost('of those, quads that come out different', { value: same ? 0 : 1, unit: '', bar: 0, digits: 0 }),
  ];
}

/** A job done over and over on one quad, until there are enough records. */
function long(records: readonly QuadRecord[]): QuadRecord[] {
  return Array.from({ length: count }, (_, index): QuadRecord => {
    const record = records[index % records.length]!;
    const time = Math.floor(index / records.length);
    const named = (id: string) => `${id}-${time}`;
    return {
      ...record,
      id: named(record.id),
      seq: index + 1,
      ...(record.replaces ? { replaces: named(record.replaces) } : {}),
    };
  });
}
