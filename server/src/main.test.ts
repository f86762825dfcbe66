/** What keeps the shop from starting is said in one clear line, with a non-zero exit. */
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, expect, it } from 'vitest';
import { freePort } from './database/privateServer';

const folders: string[] = [];
afterEach(() => folders.splice(0).forEach((folder) => rmSync(folder, { recursive: true, force: true })));

function newFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'junctor-start-'));
  folders.push(folder);
  return folder;
}

async function start(env: Record<string, string>, ...args: string[]): Promise<{ code: number | null; said: string }> {
  const port = String(await freePort());
  const child = spawn('node', ['--import', 'tsx', join(import.meta.dirname, 'main.ts'), ...args], {
    env: { ...process.env, JUNCTOR_PORT: port, JUNCTOR_TEST_DATA: '1', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
  const code = await new Promise<number | null>((resolve) => child.once('exit', resolve));
  return { code, said };
}

it('a taken port', async () => {
  const taken = createServer().listen(0, '127.0.0.1');
  await new Promise((resolve) => taken.once('listening', resolve));
  const { port } = taken.address() as { port: number };
  const { code, said } = await start({ JUNCTOR_DATA: newFolder(), JUNCTOR_PORT: String(port) });
  taken.close();
  expect([code, said]).toEqual([
    1,
    `Cannot listen on port ${port}: somebody else uses it. Set JUNCTOR_PORT to another.\n`,
  ]);
});

it('a data folder that cannot be made', async () => {
  const file = join(newFolder(), 'file');
  writeFileSync(file, '');
  const { code, said } = await start({ JUNCTOR_DATA: join(file, 'data') });
  expect(code).toBe(1);
  expect(said).toMatch(/^Cannot make the data folder .*ENOTDIR.*\n$/);
});

it('a database whose files are broken', async () => {
  const folder = newFolder();
  mkdirSync(join(folder, 'data', 'mysql'), { recursive: true });
  writeFileSync(join(folder, 'server.json'), JSON.stringify({ port: 1, password: 'x' }));
  writeFileSync(join(folder, 'data', 'ibdata1'), 'no database');
  const broken = await start({ JUNCTOR_DATA: folder });
  expect(broken.code).toBe(1);
  expect(broken.said).toMatch(/^The database did not start\. Last lines of /);
});

it('another database that cannot be reached, and an argument that means nothing', async () => {
  const away = await start({ JUNCTOR_DB_URL: 'mysql://nobody:x@127.0.0.1:1' });
  expect([away.code, away.said]).toEqual([1, expect.stringMatching(/^Cannot reach the database: .*ECONNREFUSED.*\n$/)]);
  expect(await start({}, '--emtpy')).toEqual({
    code: 1,
    said: 'Unknown argument --emtpy. Known: --empty, --rebuild, --no-pages\n',
  });
});
