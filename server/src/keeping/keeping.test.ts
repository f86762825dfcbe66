/** Backups made while people write, and shops made again from them. */
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import mysql from 'mysql2/promise';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Client, TestShop } from '../testing';
import { firstLead, openJob, sent, startPrivateServer, startTestShop } from '../testing';
import { writeBackup } from './backupFile';
import { copyOnce } from './nightly';
import { restore } from './restore';

let shop: TestShop;
let lead: Client;
let folder: string;
let second: Awaited<ReturnType<typeof startPrivateServer>>;
const live = () => ({ ownerUrl: shop.ownerUrl, name: shop.databaseName });
const other = () => ({ ownerUrl: second.ownerUrl, name: 'junctor' });
const yes = async () => true;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'junctor-keeping-'));
  [shop, second] = await Promise.all([startTestShop(), startPrivateServer(folder, { durable: false })]);
  lead = await firstLead(shop.url);
}, 60_000);
afterAll(async () => {
  await Promise.all([shop.stop(), second.stop()]);
  rmSync(folder, { recursive: true, force: true });
});

async function rows(ownerUrl: string, sql: string): Promise<mysql.RowDataPacket[]> {
  const connection = await mysql.createConnection({ uri: ownerUrl });
  const [found] = await connection.query<mysql.RowDataPacket[]>(sql);
  await connection.end();
  return found;
}

async function checksums({ ownerUrl, name }: { ownerUrl: string; name: string }): Promise<Record<string, number>> {
  const tables = await rows(ownerUrl, `SHOW TABLES FROM \`${name}\``);
  const names = tables.map((row) => String(Object.values(row)[0])).filter((table) => table !== 'setting');
  const sums = await rows(ownerUrl, `CHECKSUM TABLE ${names.map((table) => `\`${name}\`.\`${table}\``).join(', ')}`);
  return Object.fromEntries(sums.map((row) => [String(row.Table).split('.')[1]!, Number(row.Checksum)]));
}

it('made while four write is the shop at one moment, and the same shop when nobody writes', async () => {
  const jobs = await Promise.all(Array.from({ length: 4 }, () => openJob(lead)));
  let writing = true;
  const writers = jobs.map(async ({ quadId, jobId }) => {
    while (writing) {
      const records = Array.from({ length: 3 }, () => sent(lead, jobId, { saw: 'caution', id: 'ventilated' }));
      expect((await lead.post(`/quads/${quadId}/records`, { records })).status).toBe(200);
    }
  });
  const file = join(folder, 'while-writing');
  await new Promise((resolve) => setTimeout(resolve, 400));
  await writeBackup(live(), file, new Date());
  writing = false;
  await Promise.all(writers);
  await restore({ ...other(), file, now: new Date(), mayReplace: yes });
  for (const { quadId } of jobs) {
    const sql = (name: string) =>
      `SELECT seq, id, HEX(sha256) AS sha256 FROM \`${name}\`.record WHERE stream_id = '${quadId}' ORDER BY seq`;
    const [kept, all] = [await rows(second.ownerUrl, sql('junctor')), await rows(shop.ownerUrl, sql(live().name))];
    const [quad] = await rows(second.ownerUrl, `SELECT log_seq FROM junctor.quad WHERE id = '${quadId}'`);
    expect(kept.length).toBeGreaterThan(0);
    expect(kept.length).toBe(Number(quad!.log_seq));
    expect(kept.length % 3).toBe(0);
    expect(kept).toEqual(all.slice(0, kept.length));
  }
  await writeBackup(live(), file, new Date());
  await restore({ ...other(), file, now: new Date(), mayReplace: yes });
  expect(await checksums(other())).toEqual(await checksums(live()));
}, 60_000);

it('begins a new epoch with each restore, and keeps what was there before', async () => {
  const file = join(folder, 'epoch');
  await writeBackup(live(), file, new Date());
  const epoch = async () =>
    (
      await rows(
        second.ownerUrl,
        "SELECT value FROM junctor.setting WHERE name = 'epoch' ORDER BY version DESC LIMIT 1",
      )
    )[0]!.value as unknown;
  await restore({ ...other(), file, now: new Date(), mayReplace: yes });
  const first = await epoch();
  await restore({ ...other(), file, now: new Date(), mayReplace: yes });
  expect(await epoch()).not.toEqual(first);
  expect(
    Number((await rows(second.ownerUrl, 'SELECT COUNT(*) AS n FROM junctor_before.record'))[0]!.n),
  ).toBeGreaterThan(0);
});

describe('nothing is changed', () => {
  it.each([
    ['by a file that is none', (file: string) => writeFileSync(file, 'not a backup'), /is no backup of a shop/],
    [
      'by one that was damaged',
      (file: string) => {
        const bytes = readFileSync(file);
        bytes[bytes.length - 9]! ^= 1;
        writeFileSync(file, bytes);
      },
      /is damaged/,
    ],
    [
      'by one that was cut short',
      (file: string) => writeFileSync(file, readFileSync(file).subarray(0, 3000)),
      /is damaged/,
    ],
    ['by one that is not there', (file: string) => rmSync(file), /There is no file/],
  ])('%s', async (_name, spoil, said) => {
    const file = join(folder, 'spoilt');
    await writeBackup(live(), file, new Date());
    spoil(file);
    const before = await checksums(other());
    await expect(restore({ ...other(), file, now: new Date(), mayReplace: yes })).rejects.toThrow(said);
    expect(await checksums(other())).toEqual(before);
  });

  it('when somebody says no, and while the shop is open', async () => {
    const file = join(folder, 'asked');
    await writeBackup(live(), file, new Date());
    const before = await checksums(other());
    await expect(restore({ ...other(), file, now: new Date(), mayReplace: async () => false })).rejects.toThrow(
      /Nothing was/,
    );
    await expect(restore({ ...live(), file, now: new Date(), mayReplace: yes })).rejects.toThrow(/The shop is open/);
    expect(await checksums(other())).toEqual(before);
  });
});

it('a copy is made once a night, and the last so many are kept', async () => {
  const copies = join(folder, 'copies');
  const at = (day: number, hour: number) => () => new Date(2026, 10, day, hour);
  const copy = (day: number, hour: number) => copyOnce({ ...live(), folder: copies, kept: 2, now: at(day, hour) });
  expect(await copy(1, 1)).toBeNull();
  for (const day of [1, 2, 3]) expect(await copy(day, 3)).toBe(`2026-11-0${day}.junctor-backup`);
  expect(await copy(3, 23)).toBeNull();
  expect(readdirSync(copies).sort()).toEqual(['2026-11-02.junctor-backup', '2026-11-03.junctor-backup']);
});
