/**
 * A backup: one line that says what it is and its checksum, then everything as of one moment, packed. It is made while
 * the shop goes on.
 */
import { spawn } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { closeSync, createReadStream, createWriteStream, openSync, readSync, renameSync, rmSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { StartError } from '../database/StartError';

export interface BackupHeader {
  format: 'junctor-backup';
  version: 1;
  madeAt: string;
  /** Of the packed bytes that follow. */
  sha256: string;
  bytes: number;
}

export interface ShopDatabase {
  ownerUrl: string;
  name: string;
}

/** Makes the file, beside and moved into place. @throws {StartError} When the database or the disk will not. */
export async function writeBackup(database: ShopDatabase, file: string, now: Date): Promise<BackupHeader> {
  const part = `${file}.${randomUUID()}.part`;
  try {
    const { sha256, bytes } = await dumpInto(database, `${part}.gz`);
    const header: BackupHeader = { format: 'junctor-backup', version: 1, madeAt: now.toISOString(), sha256, bytes };
    const out = createWriteStream(part, { mode: 0o600, flush: true });
    out.write(`${JSON.stringify(header)}\n`);
    await pipeline(createReadStream(`${part}.gz`), out);
    renameSync(part, file);
    return header;
  } catch (error) {
    throw error instanceof StartError ? error : new StartError(`No backup was made: ${(error as Error).message}`);
  } finally {
    for (const left of [part, `${part}.gz`]) rmSync(left, { force: true });
  }
}

async function dumpInto({ ownerUrl, name }: ShopDatabase, file: string): Promise<{ sha256: string; bytes: number }> {
  const dump = client(ownerUrl, 'mariadb-dump', ['--single-transaction', '--hex-blob', '--skip-comments', name]);
  const hash = createHash('sha256');
  let bytes = 0;
  const packed = createGzip().on('data', (chunk: Buffer) => {
    hash.update(chunk);
    bytes += chunk.length;
  });
  await Promise.all([pipeline(dump.child.stdout!, packed, createWriteStream(file, { mode: 0o600 })), dump.ended]);
  return { sha256: hash.digest('hex'), bytes };
}

const longestHeader = 4096;

/** @throws {StartError} When the file is no backup, or not as it was made. */
export async function checkBackup(file: string): Promise<{ header: BackupHeader; from: number }> {
  const { header, from } = headerOf(file);
  const hash = createHash('sha256');
  for await (const chunk of createReadStream(file, { start: from })) hash.update(chunk as Buffer);
  if (hash.digest('hex') !== header.sha256)
    throw new StartError(`${file} is damaged: its checksum is not what it was when it was made. Nothing was changed.`);
  return { header, from };
}

function headerOf(file: string): { header: BackupHeader; from: number } {
  try {
    const opened = openSync(file, 'r');
    const start = Buffer.alloc(longestHeader);
    const read = readSync(opened, start);
    closeSync(opened);
    const end = start.subarray(0, read).indexOf('\n');
    const header = JSON.parse(start.subarray(0, end).toString()) as BackupHeader;
    if (header.format === 'junctor-backup' && header.version === 1) return { header, from: end + 1 };
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') throw new StartError(`There is no file ${file}.`);
  }
  throw new StartError(`${file} is no backup of a shop. Nothing was changed.`);
}

/** Everything of a checked backup into an empty database. */
export async function loadBackup(file: string, from: number, { ownerUrl, name }: ShopDatabase): Promise<void> {
  const load = client(ownerUrl, 'mariadb', [name]);
  await Promise.all([pipeline(createReadStream(file, { start: from }), createGunzip(), load.child.stdin!), load.ended]);
}

function client(ownerUrl: string, program: string, args: readonly string[]) {
  const { hostname, port, username, password } = new URL(ownerUrl);
  const account = [`--host=${hostname}`, `--port=${port || '3306'}`, `--user=${decodeURIComponent(username)}`];
  const child = spawn(program, ['--no-defaults', ...account, ...args], {
    env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) },
    stdio: ['pipe', 'pipe', 'pipe'],
  });
  let said = '';
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
  const ended = once(child, 'close').then(([code]) => {
    if (code !== 0) throw new StartError(`${program} ended with ${String(code)}: ${said.trim().slice(0, 400)}`);
  });
  return { child, ended };
}
