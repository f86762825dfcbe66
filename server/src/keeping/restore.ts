/**
 * A shop made again from a backup: loaded beside what is there, then put in its place in one step. What was there stays
 * beside it until the next time. It begins a new epoch, so that tablets know to send again what the shop has forgotten.
 */
import type { RowDataPacket } from 'mysql2/promise';
import mysql from 'mysql2/promise';
import { v7 } from 'uuid';
import { StartError } from '../database/StartError';
import type { BackupHeader, ShopDatabase } from './backupFile';
import { checkBackup, loadBackup } from './backupFile';

interface Restoring extends ShopDatabase {
  file: string;
  now: Date;
  /** Asked before what is there is put aside: true to go on. */
  mayReplace: (records: number) => Promise<boolean>;
}

/** @throws {StartError} When the file is no whole backup, the shop is open, or nobody wants it replaced. */
export async function restore({ file, now, mayReplace, ...shop }: Restoring): Promise<BackupHeader> {
  const { header, from } = await checkBackup(file);
  const connection = await mysql.createConnection({ uri: shop.ownerUrl });
  try {
    await refuseOpen(connection, shop.name);
    const records = await recordsIn(connection, shop.name);
    if (records > 0 && !(await mayReplace(records))) throw new StartError('Nothing was changed.');
    const [fresh, before] = [`${shop.name}_restoring`, `${shop.name}_before`];
    await connection.query(`DROP DATABASE IF EXISTS \`${fresh}\``);
    await connection.query(`CREATE DATABASE \`${fresh}\` CHARACTER SET utf8mb4`);
    await loadBackup(file, from, { ...shop, name: fresh });
    await beginEpoch(connection, fresh, now);
    await connection.query(`DROP DATABASE IF EXISTS \`${before}\``);
    await connection.query(`CREATE DATABASE \`${before}\` CHARACTER SET utf8mb4`);
    await connection.query(`CREATE DATABASE IF NOT EXISTS \`${shop.name}\` CHARACTER SET utf8mb4`);
    await putInPlace(connection, { fresh, before, name: shop.name });
    await connection.query(`DROP DATABASE \`${fresh}\``);
    return header;
  } finally {
    await connection.end();
  }
}

/** Nobody may be writing meanwhile. */
async function refuseOpen(connection: mysql.Connection, name: string): Promise<void> {
  const [rows] = await connection.query<RowDataPacket[]>(
    'SELECT id FROM information_schema.processlist WHERE db = ? AND id <> CONNECTION_ID()',
    [name],
  );
  if (rows.length > 0)
    throw new StartError('The shop is open: stop it first (Ctrl-C where it was started), then restore.');
}

async function recordsIn(connection: mysql.Connection, name: string): Promise<number> {
  const tables = await tablesOf(connection, name);
  if (!tables.includes('record')) return 0;
  const [[row]] = await connection.query<RowDataPacket[]>(`SELECT COUNT(*) AS records FROM \`${name}\`.record`);
  return Number(row!.records);
}

async function tablesOf(connection: mysql.Connection, name: string): Promise<string[]> {
  const [rows] = await connection.query<RowDataPacket[]>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ? ORDER BY table_name',
    [name],
  );
  return rows.map((row) => String(row.name));
}

async function beginEpoch(connection: mysql.Connection, name: string, now: Date): Promise<void> {
  const at = now.toISOString().replace('T', ' ').replace('Z', '');
  await connection.query(
    `INSERT INTO \`${name}\`.setting (name, version, value, person_id, at)
     SELECT 'epoch', COALESCE(MAX(version), 0) + 1, ?, NULL, ? FROM \`${name}\`.setting WHERE name = 'epoch'`,
    [JSON.stringify(v7()), at],
  );
}

/** All tables change places in one statement: there is no moment with half a shop. */
async function putInPlace(
  connection: mysql.Connection,
  { fresh, before, name }: Record<'fresh' | 'before' | 'name', string>,
): Promise<void> {
  const [old, made] = [await tablesOf(connection, name), await tablesOf(connection, fresh)];
  const move = (table: string, from: string, to: string) => `\`${from}\`.\`${table}\` TO \`${to}\`.\`${table}\``;
  await connection.query(
    `RENAME TABLE ${[...old.map((table) => move(table, name, before)), ...made.map((table) => move(table, fresh, name))].join(', ')}`,
  );
}
