/** The shop as a process of its own, as ./start runs it: it can be killed and started again on the same data. */
import type { ChildProcess } from 'node:child_process';
import { spawn } from 'node:child_process';
import { realpathSync } from 'node:fs';
import { join } from 'node:path';
import { freePort } from '../database/privateServer';
import { runningOn } from '../database/serverProcess';

const project = join(import.meta.dirname, '..', '..', '..');

export interface RunningShop {
  url: string;
  folder: string;
  /** kill -9 of the application. */
  killServer(): Promise<void>;
  /** kill -9 of the database; the application starts it again. */
  killDatabase(): void;
  /** Starts the application again on the same data and port. */
  startAgain(): Promise<void>;
  stop(): Promise<void>;
}

interface Kind {
  empty?: boolean;
  durable?: boolean;
}

/** @param durable As real data is kept; false trades that for speed. */
export async function runShop(folder: string, options: Kind = {}): Promise<RunningShop> {
  const port = await freePort();
  let child = await launch(folder, port, options);
  return {
    url: `http://127.0.0.1:${port}`,
    folder,
    killServer: () => ended(child, 'SIGKILL'),
    killDatabase: () => killDatabaseOf(folder),
    startAgain: async () => {
      child = await launch(folder, port, { ...options, empty: false });
    },
    stop: () => ended(child, 'SIGINT'),
  };
}

/** kill -9 of the database of a folder; nothing where it is not up yet, or down already. */
export function killDatabaseOf(folder: string): void {
  const pid = runningOn({ data: join(realpathSync(folder), 'data') });
  if (pid !== null) process.kill(pid, 'SIGKILL');
}

/** The application as a process of its own, on whatever port is free; nobody waits for it. */
export function launchShop(folder: string, port = 0): ChildProcess {
  return spawned(folder, port, { empty: true, durable: true });
}

function spawned(folder: string, port: number, { empty = false, durable = false }: Kind): ChildProcess {
  return spawn('node', ['--import', 'tsx', join(project, 'server/src/main.ts'), ...(empty ? ['--empty'] : [])], {
    cwd: project,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      ...process.env,
      JUNCTOR_PORT: String(port),
      JUNCTOR_DATA: folder,
      JUNCTOR_TEST_DATA: durable ? '0' : '1',
      JUNCTOR_SIGN_IN_TRIES: '10000',
      JUNCTOR_LOG: 'silent',
    },
  });
}

function launch(folder: string, port: number, kind: Kind): Promise<ChildProcess> {
  const child = spawned(folder, port, kind);
  return new Promise((resolve, reject) => {
    let said = '';
    child.stdout!.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      if (said.includes('Ctrl-C stops it')) resolve(child);
    });
    child.stderr!.on('data', (chunk: Buffer) => (said += chunk.toString()));
    child.once('exit', (code) => reject(new Error(`the shop ended with ${code}: ${said}`)));
  });
}

function ended(child: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  return new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) {
      resolve();
      return;
    }
    child.once('exit', () => resolve());
    child.kill(signal);
  });
}
