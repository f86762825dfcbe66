/** The process of a private database. */
import { spawn } from 'node:child_process';
import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { ServerFolder, State } from './serverFolder';
import { firstWords } from './serverFolder';
import { StartError } from './StartError';

/** Starts it. It has its own process group: Ctrl-C reaches only us, and we end it in order. */
export function launch(folder: ServerFolder, state: State, flags: readonly string[]): number {
  const child = spawn(
    'mariadbd',
    [
      '--no-defaults',
      ...(folder.asUser ? [`--user=${folder.asUser}`] : []),
      dataFlag(folder),
      '--bind-address=127.0.0.1',
      `--port=${state.port}`,
      `--socket=${folder.socket}`,
      `--pid-file=${join(folder.run, 'm.pid')}`,
      `--log-error=${folder.errorLog}`,
      `--tmpdir=${folder.run}`,
      `--init-file=${firstWords(folder, state)}`,
      '--skip-name-resolve',
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_uca1400_ai_ci',
      '--default-time-zone=+00:00',
      ...flags,
    ],
    { stdio: 'ignore', detached: true },
  );
  child.unref();
  child.once('error', () => undefined);
  if (child.pid === undefined) throw new StartError('There is no mariadbd on this machine: install mariadb-server.');
  return child.pid;
}

function dataFlag({ data }: Pick<ServerFolder, 'data'>): string {
  return `--datadir=${data}`;
}

/**
 * The database that runs on this very folder: a copied folder is a second shop. It is looked for among all that run, as
 * one whose starter was killed may not have written its pid file yet, and a pid of long ago may be anybody's.
 */
export function runningOn(folder: Pick<ServerFolder, 'data'>): number | null {
  const pids = readdirSync('/proc').map(Number).filter(Number.isSafeInteger);
  return pids.find((pid) => argumentsOf(pid).includes(dataFlag(folder)) && isAlive(pid)) ?? null;
}

function argumentsOf(pid: number): string[] {
  try {
    const [program = '', ...given] = readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0');
    return program.endsWith('mariadbd') ? given : [];
  } catch {
    return [];
  }
}

export function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return !readFileSync(`/proc/${pid}/stat`, 'utf8').includes(') Z ');
  } catch {
    return false;
  }
}

/** The last that the database said of itself. */
export function lastWords({ errorLog }: ServerFolder): string {
  if (!existsSync(errorLog) || statSync(errorLog).size === 0) return '(no log)';
  return readFileSync(errorLog, 'utf8').trim().split('\n').slice(-3).join('\n');
}
