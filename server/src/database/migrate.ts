/** Numbered migrations, append-only, under a named lock; and the narrow grants of the application's own account. */
import { createHash, createHmac } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Connection, RowDataPacket } from 'mysql2/promise';
import mysql from 'mysql2/promise';
import { StartError } from './StartError';

const folder = join(import.meta.dirname, '..', '..', 'migrations');
const appUser = 'junctor_app';

/** What the application's account may do beyond reading. Records and their like can only be added. */
const writes: Readonly<Record<string, string>> = {
  person: 'INSERT, UPDATE',
  device: 'INSERT',
  session: 'INSERT, DELETE',
  hand: 'INSERT',
  setting: 'INSERT',
  customer: 'INSERT, UPDATE',
  quad: 'INSERT, UPDATE',
  job: 'INSERT, UPDATE',
  plan_change: 'INSERT',
  part_model: 'INSERT',
  tool: 'INSERT, UPDATE',
  record: 'INSERT',
  part: 'INSERT, UPDATE',
  part_note: 'INSERT',
  stock: 'INSERT, UPDATE',
  stock_move: 'INSERT',
  picture: 'INSERT',
  job_model: 'INSERT',
  job_view: 'INSERT, UPDATE',
  touch_list: 'INSERT',
  template: 'INSERT',
};

/**
 * Brings the database of the owner's URL up to date and returns the URL of the application's account.
 * @throws {StartError} If it cannot be reached, or a migration that has run was changed since.
 */
export async function migrate(ownerUrl: string, database: string): Promise<string> {
  const connection = await connect(ownerUrl);
  try {
    await connection.query(`CREATE DATABASE IF NOT EXISTS \`${database}\` CHARACTER SET utf8mb4`);
    await connection.query(`USE \`${database}\``);
    const [[lock]] = await connection.query<RowDataPacket[]>('SELECT GET_LOCK(?, 60) AS got', [`migrate ${database}`]);
    if (lock?.got !== 1)
      throw new StartError('Another start is bringing the database up to date: wait, then start again');
    await runMissing(connection);
    return await grant(connection, ownerUrl, database);
  } finally {
    await connection.end();
  }
}

async function connect(ownerUrl: string): Promise<Connection> {
  try {
    return await mysql.createConnection({ uri: ownerUrl });
  } catch (error) {
    throw new StartError(`Cannot reach the database: ${(error as Error).message}`);
  }
}

async function runMissing(connection: Connection): Promise<void> {
  await connection.query(`CREATE TABLE IF NOT EXISTS migration (
    version INT UNSIGNED PRIMARY KEY, name VARCHAR(120) NOT NULL, sha256 CHAR(64) NOT NULL, applied_at DATETIME(3) NOT NULL)`);
  const [rows] = await connection.query<RowDataPacket[]>('SELECT version, sha256 FROM migration');
  const applied = new Map(rows.map((row) => [row.version as number, row.sha256 as string]));
  for (const file of readdirSync(folder).sort()) {
    const sql = readFileSync(join(folder, file), 'utf8');
    const sha256 = createHash('sha256').update(sql).digest('hex');
    const version = Number(file.slice(0, 4));
    const before = applied.get(version);
    if (before && before !== sha256)
      throw new StartError(`Migration ${file} was changed after it had run. Restore it, and add a new one.`);
    if (before) continue;
    await makeOnce(connection, sql);
    await connection.query('INSERT INTO migration VALUES (?, ?, ?, UTC_TIMESTAMP(3))', [version, file, sha256]);
  }
}

/** Table, column and key that exist. */
const madeBefore: ReadonlySet<number> = new Set([1050, 1060, 1061]);

/** A migration is one statement, whole or not at all. A start that was killed behind it had made it already. */
async function makeOnce(connection: Connection, sql: string): Promise<void> {
  try {
    await connection.query(sql);
  } catch (error) {
    if (!madeBefore.has((error as { errno?: number }).errno ?? 0)) throw error;
  }
}

/** The application's password follows from the owner's, so that several servers on one database agree. */
async function grant(connection: Connection, ownerUrl: string, database: string): Promise<string> {
  const url = new URL(ownerUrl);
  const password = createHmac('sha256', decodeURIComponent(url.password)).update(`${database} app`).digest('base64url');
  const [[here]] = await connection.query<RowDataPacket[]>("SELECT SUBSTRING_INDEX(USER(), '@', -1) AS host");
  // From where we come ourselves, and from nowhere else.
  const account = `'${appUser}'@${connection.escape(here!.host)}`;
  if (here!.host !== '%') await connection.query(`DROP USER IF EXISTS '${appUser}'@'%'`);
  await connection.query(`CREATE USER IF NOT EXISTS ${account} IDENTIFIED BY '${password}'`);
  await connection.query(`ALTER USER ${account} IDENTIFIED BY '${password}'`);
  await connection.query(`GRANT SELECT ON \`${database}\`.* TO ${account}`);
  for (const [table, rights] of Object.entries(writes))
    await connection.query(`GRANT ${rights} ON \`${database}\`.\`${table}\` TO ${account}`);
  url.username = appUser;
  url.password = password;
  url.pathname = `/${database}`;
  return url.toString();
}
