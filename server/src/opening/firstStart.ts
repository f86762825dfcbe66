/** What a shop gets at its very first start: tools as starting values, and the demo shop unless it is to be empty. */
import type { Template } from '@junctor/catalogue';
import type { DemoShop } from '@junctor/demo';
import { shippedMeter, shippedTools } from '@junctor/catalogue';
import { demoShop } from '@junctor/demo';
import type { Catalogue } from '@junctor/core';
import { v7 } from 'uuid';
import type { Database, Queries } from '../database/Database';
import { toSqlTime } from '../database/Database';
import { saySetting, settingOf } from '../shop/shop';
import { StartError } from '../database/StartError';
import { noteModels } from '../jobs/repository';
import { insertRecord } from '../log/repository';
import { hashSecret } from '../session/session';
import { addLine } from '../stock/repository';

export type ShopKind = 'demo' | 'empty';

/**
 * The kind of shop in this database, made now if there is none. @throws {StartError} If an empty one is wanted but it
 * is not.
 */
export async function ensureShop(
  { database, catalogue, templates }: { database: Database; catalogue: Catalogue; templates: readonly Template[] },
  wanted: ShopKind | null,
  now: Date,
): Promise<ShopKind> {
  const found = await settingOf<ShopKind>(database, 'first start');
  if (found) {
    const kind = found.value;
    if (wanted === 'empty' && kind !== 'empty') {
      throw new StartError(
        'This data folder holds the demo shop. For an empty shop set JUNCTOR_DATA to a new folder, or move the old one away.',
      );
    }
    return kind;
  }
  const kind = wanted ?? 'demo';
  const toolIds = shippedTools.map((tool) => ({ ...tool, id: v7() }));
  const meter = toolIds.find((tool) => tool.kind === 'meter')!;
  const limiter = toolIds.find((tool) => tool.kind === 'limiter')!;
  const demo =
    kind === 'empty'
      ? null
      : demoShop({
          catalogue,
          templates,
          meter: { id: meter.id, name: meter.name, ...shippedMeter },
          limiterId: limiter.id,
          now,
        });
  const hashes = new Map(
    await Promise.all((demo?.people ?? []).map(async ({ id, password }) => [id, await hashSecret(password)] as const)),
  );
  // All or nothing: a start that is killed here begins again from an empty database.
  await database.transaction(async (queries) => {
    for (const { id, kind: toolKind, name, doc } of toolIds)
      await queries.write('tools/insertTool', { id, kind: toolKind, name, doc: JSON.stringify(doc) });
    if (demo) await insertDemo(queries, demo, hashes, now);
    await saySetting(queries, 'first start', { version: 1, value: kind }, { personId: null, at: now });
  });
  return kind;
}

async function insertDemo(
  queries: Queries,
  demo: DemoShop,
  hashes: ReadonlyMap<string, string>,
  now: Date,
): Promise<void> {
  await saySetting(queries, 'shop name', { version: 1, value: demo.shop }, { personId: null, at: now });
  await queries.write('session/insertDevice', demo.device);
  for (const { id, name, role } of demo.people)
    await queries.write('people/insertPerson', { id, name, role, secretHash: hashes.get(id)! });
  for (const customer of demo.customers) await queries.write('customers/insertCustomer', customer);
  for (const quad of demo.quads) await queries.write('quads/insertQuad', quad);
  for (const { records, plan, intake, openedAt, closedAt, id, quadId, kind, title, dueOn, bench } of demo.jobs) {
    const { target, front, links, cells, schools } = plan;
    await queries.write('jobs/insertJob', {
      id,
      quadId,
      kind,
      title,
      dueOn,
      bench,
      plan: JSON.stringify({ target, front, links, cells, schools }),
      intake: JSON.stringify(intake),
      openedAt: toSqlTime(openedAt),
    });
    await noteModels(queries, id, plan);
    for (const { quadId: stream, seq, arrivedAt, ...record } of records)
      await insertRecord(queries, { quadId: stream, seq: seq!, record, arrivedAt: arrivedAt! });
    await queries.write('quads/updateLogSeq', { id: quadId, logSeq: records.length });
    if (closedAt) await queries.write('jobs/closeJob', { id, closedAt: toSqlTime(closedAt) });
  }
  const at = toSqlTime(now.toISOString());
  for (const line of demo.stores.stock)
    await addLine(queries, line, { personId: null, at, why: 'stock of the demo shop' });
  for (const { model, owner, ...part } of demo.stores.parts) {
    await queries.write('parts/insertPart', {
      ...part,
      modelId: model,
      ownerId: owner === 'shop' ? null : owner,
      fromQuadId: null,
      at,
    });
  }
}

/** Names and passwords of the demo shop, for the person at the terminal. */
export const demoSignIns = [
  'Oda Quill (lead), password saltpan-lead',
  'Bram Tolley (technician), password saltpan-bench',
];
