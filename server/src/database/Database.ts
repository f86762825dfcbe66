/** The application's way to the database: named statements, transactions, times in UTC. */
import type { Pool, PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import mysql from 'mysql2/promise';
import type { StatementName } from './statements';
import { statement } from './statements';

export type Values = Readonly<Record<string, string | number | Buffer | null>>;

/** Either the pool or one transaction. */
export interface Queries {
  rows<T>(name: StatementName, values?: Values): Promise<T[]>;
  /** The first row, or null. */
  row<T>(name: StatementName, values?: Values): Promise<T | null>;
  /** Number of rows changed. */
  write(name: StatementName, values?: Values): Promise<number>;
}

export interface Database extends Queries {
  /** Runs the work in one transaction; an error rolls everything back. A deadlock is tried again. */
  transaction<T>(work: (queries: Queries) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

/** Seconds for one statement, and for a lock. */
const longestS = 15;

export function openDatabase(appUrl: string): Database {
  const pool = mysql.createPool({
    uri: appUrl,
    connectionLimit: 10,
    namedPlaceholders: true,
    dateStrings: true,
    timezone: 'Z',
    supportBigNumbers: true,
    jsonStrings: true,
    connectTimeout: 5000,
  });
  // A statement that takes longer is one that nobody waits for any more.
  pool.pool.on('connection', (connection) => {
    connection.query(`SET SESSION max_statement_time = ${longestS}, innodb_lock_wait_timeout = ${longestS}`);
  });
  return {
    ...queriesOn(pool),
    transaction: (work) => inTransaction(pool, work),
    close: () => pool.end(),
  };
}

function queriesOn(on: Pool | PoolConnection): Queries {
  const rows = async <T>(name: StatementName, values: Values = {}) => {
    const [found] = await on.execute<RowDataPacket[]>(statement(name), values as never);
    return found as T[];
  };
  return {
    rows,
    row: async <T>(name: StatementName, values?: Values) => (await rows<T>(name, values))[0] ?? null,
    write: async (name, values = {}) => {
      const [result] = await on.execute<ResultSetHeader>(statement(name), values as never);
      return result.affectedRows;
    },
  };
}

const deadlock = 1213;
const tries = 3;

async function inTransaction<T>(pool: Pool, work: (queries: Queries) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    const connection = await pool.getConnection();
    try {
      await connection.beginTransaction();
      const result = await work(queriesOn(connection));
      await connection.commit();
      connection.release();
      return result;
    } catch (error) {
      await connection.rollback().then(
        () => connection.release(),
        () => connection.destroy(),
      );
      if (errnoOf(error) !== deadlock || attempt === tries) throw error;
    }
  }
}

/** The server's error number, or null. */
export function errnoOf(error: unknown): number | null {
  return (error as { errno?: number } | null)?.errno ?? null;
}

/** ISO time to a DATETIME(3) literal. */
export function toSqlTime(iso: string): string {
  return iso.replace('T', ' ').replace('Z', '');
}

/** A DATETIME(3) as ISO time in UTC. */
export function fromSqlTime(value: string): string {
  return `${value.replace(' ', 'T')}${value.includes('.') ? '' : '.000'}Z`;
}

/** JSON columns come as text. */
export function fromJson<T>(text: string): T {
  return JSON.parse(text) as T;
}
