/** A database's folder after everything that can happen to it between two starts. */
import { spawn } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import mysql from 'mysql2/promise';
import { afterEach, expect, it } from 'vitest';
import type { PrivateServer } from './privateServer';
import { startPrivateServer } from './privateServer';
import { runShop } from '../testing';
import { openFolder } from './serverFolder';
import { runningOn } from './serverProcess';

const folders: string[] = [];
const running: PrivateServer[] = [];
afterEach(async () => {
  for (const server of running.splice(0)) await server.stop();
  for (const folder of folders.splice(0)) rmSync(folder, { recursive: true, force: true });
});

function newFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'junctor-folder-'));
  folders.push(folder);
  return folder;
}

async function start(folder: string): Promise<PrivateServer> {
  const server = await startPrivateServer(folder, { durable: false });
  running.push(server);
  return server;
}

async function ask(server: Pick<PrivateServer, 'ownerUrl'>, sql: string): Promise<mysql.RowDataPacket[]> {
  const connection = await mysql.createConnection(server.ownerUrl);
  try {
    const [rows] = await connection.query<mysql.RowDataPacket[]>(sql);
    return rows;
  } finally {
    await connection.end();
  }
}

const pidOf = (folder: string) => runningOn(openFolder(folder));

it('answers nobody without its password, and has no account but the owner’s', async () => {
  const server = await start(newFolder());
  const { port } = new URL(server.ownerUrl);
  await expect(mysql.createConnection(`mysql://root@127.0.0.1:${port}`)).rejects.toThrow(/Access denied/);
  const users = await ask(server, "SELECT user, host FROM mysql.global_priv WHERE user NOT LIKE 'mariadb.%'");
  expect(users.map(({ user }) => String(user)).filter((user) => user !== 'root' && user !== 'PUBLIC')).toEqual([]);
  expect(users.every(({ host, user }) => user === 'PUBLIC' || ['localhost', '127.0.0.1', '::1'].includes(host))).toBe(
    true,
  );
});

it('keeps its socket where only its own user may enter', async () => {
  const folder = newFolder();
  await start(folder);
  const { socket } = openFolder(folder);
  expect(statSync(join(socket, '..')).mode & 0o077).toBe(0);
});

it('is taken over when its starter was killed, and started anew when nobody has its key any more', async () => {
  const folder = newFolder();
  const shop = await runShop(folder, { empty: true });
  await shop.killServer();
  const pid = pidOf(folder);
  await shop.startAgain();
  expect(pidOf(folder)).toBe(pid);
  await shop.killServer();
  const key = readFileSync(join(folder, 'server.json'), 'utf8');
  writeFileSync(join(folder, 'server.json'), key.slice(0, 20));
  const anew = await start(folder);
  expect(pidOf(folder)).not.toBe(pid);
  expect(await ask(anew, "SHOW DATABASES LIKE 'junctor'")).toHaveLength(1);
});

it('is a second shop when its folder was copied, not a second door to the first', async () => {
  const folder = newFolder();
  const first = await start(folder);
  await ask(first, 'CREATE DATABASE shop');
  const copy = newFolder();
  cpSync(folder, copy, { recursive: true, filter: (path) => !path.endsWith('.sock') });
  const second = await start(copy);
  await ask(second, 'CREATE DATABASE only_there');
  expect(await ask(first, "SHOW DATABASES LIKE 'only_there'")).toEqual([]);
  expect(pidOf(copy)).not.toBe(pidOf(folder));
});

it('starts at once over a pid of long ago that is somebody else’s now', async () => {
  const folder = newFolder();
  await (await startPrivateServer(folder, { durable: false })).stop();
  mkdirSync(join(folder, 'run'), { recursive: true });
  writeFileSync(join(folder, 'run', 'm.pid'), String(process.pid));
  const before = Date.now();
  await start(folder);
  expect(Date.now() - before).toBeLessThan(10_000);
});

it('is found again when its starter was killed before it could note who it is', async () => {
  const folder = newFolder();
  const shop = await runShop(folder, { empty: true });
  await shop.killServer();
  const pid = pidOf(folder);
  rmSync(join(folder, 'run', 'm.pid'));
  await shop.startAgain();
  expect(pidOf(folder)).toBe(pid);
  await shop.stop();
});

it('starts while what a killed first start called still writes its files', async () => {
  const folder = newFolder();
  const left = join(folder, 'data.new-of-a-killed-start');
  const orphan = spawn('sh', ['-c', `while :; do mkdir -p ${left}/sys; : > ${left}/sys/$(date +%N); done`]);
  try {
    await start(folder);
    expect(readdirSync(folder)).toContain('data');
  } finally {
    orphan.kill('SIGKILL');
  }
  await running.pop()!.stop();
  await new Promise((resolve) =>
    (orphan.exitCode ?? orphan.signalCode) ? resolve(null) : orphan.once('exit', resolve),
  );
  await start(folder);
  expect(readdirSync(folder).filter((name) => name.startsWith('data.new'))).toEqual([]);
});
