/** The folder of a private database: its files, whom they belong to, and the key that opens it. */
import { execFileSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  existsSync,
  lstatSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  realpathSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { StartError } from './StartError';

/** Port and password of the owner's account. */
export interface State {
  port: number;
  password: string;
}

export interface ServerFolder {
  /** The folder by its real name: what tells a copy from it. */
  path: string;
  data: string;
  run: string;
  /** Where the socket is: in a folder that only the database's user may enter. */
  socket: string;
  errorLog: string;
  /** The database's user when we are root; null: ourselves. */
  asUser: string | null;
}

/** Makes the folder where it is missing. @throws {StartError} When it cannot be made or entered. */
export function openFolder(folder: string): ServerFolder {
  const asUser = process.getuid?.() === 0 ? 'mysql' : null;
  try {
    for (const path of [folder, join(folder, 'run')]) mkdirSync(path, { recursive: true });
    if (asUser) {
      chmodSync(folder, 0o711);
      giveTo(asUser, join(folder, 'run'), 0o750);
      giveCopied(asUser, [join(folder, 'run'), join(folder, 'data')]);
    }
  } catch (error) {
    throw new StartError(`Cannot make the data folder ${folder}: ${(error as Error).message}`);
  }
  if (asUser) refuseClosed(folder, asUser);
  const path = realpathSync(folder);
  const run = join(path, 'run');
  return {
    path,
    data: join(path, 'data'),
    run,
    socket: join(socketFolder(path, asUser), 'm.sock'),
    errorLog: join(run, 'err.log'),
    asUser,
  };
}

function refuseClosed(folder: string, user: string): void {
  try {
    execFileSync('setpriv', ['--reuid', user, '--regid', user, '--clear-groups', 'test', '-x', join(folder, 'run')], {
      stdio: 'ignore',
    });
  } catch {
    throw new StartError(
      `The database's user ${user} cannot enter ${folder}. Set JUNCTOR_DATA to a folder that others may enter.`,
    );
  }
}

/**
 * A socket's path must stay under 108 bytes, so it does not live in the data folder, but in one of its own under the
 * temporary folder that nobody else may enter.
 */
function socketFolder(path: string, asUser: string | null): string {
  const folder = join(tmpdir(), `junctor-${createHash('sha256').update(path).digest('hex').slice(0, 16)}`);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const found = lstatSync(folder);
  const mine = [process.getuid?.() ?? found.uid, asUser ? idsOf(asUser)[0]! : found.uid];
  if (!found.isDirectory() || !mine.includes(found.uid))
    throw new StartError(`${folder} belongs to somebody else: take it away, it is where the database's socket goes.`);
  if (asUser) giveTo(asUser, folder, 0o700);
  else chmodSync(folder, 0o700);
  return folder;
}

/** A folder that was copied belongs to whoever copied it, with all that is in it. */
function giveCopied(user: string, paths: readonly string[]): void {
  const [uid] = idsOf(user);
  const all = (path: string) => [path, ...(existsSync(path) ? readdirSync(path).map((name) => join(path, name)) : [])];
  const foreign = paths.filter((path) => all(path).some((one) => existsSync(one) && lstatSync(one).uid !== uid));
  if (foreign.length > 0) execFileSync('chown', ['-R', `${user}:`, ...foreign]);
}

function giveTo(user: string, path: string, mode: number): void {
  const [uid, gid] = idsOf(user);
  chownSync(path, uid!, gid!);
  chmodSync(path, mode);
}

function idsOf(user: string): number[] {
  return ['-u', '-g'].map((flag) => Number(execFileSync('id', [flag, user]).toString()));
}

/**
 * Makes the database's files, beside and moved into place: a start that was killed leaves nothing half made. Each try
 * has a folder of its own, as what a killed start called may still be writing into that of the last one.
 */
export function installOnce({ data, path, run, asUser }: ServerFolder, flags: readonly string[]): void {
  sweepHalfMade(path);
  if (existsSync(join(data, 'mysql'))) return;
  if (existsSync(data))
    throw new StartError(
      `${data} is there and holds no database: move it away, or set JUNCTOR_DATA to another folder.`,
    );
  const fresh = join(path, `${halfMade}${randomBytes(6).toString('hex')}`);
  const own = [`--datadir=${fresh}`, `--tmpdir=${run}`, ...(asUser ? [`--user=${asUser}`] : [])];
  try {
    execFileSync(
      'mariadb-install-db',
      ['--no-defaults', '--auth-root-authentication-method=normal', '--skip-test-db', ...own, ...flags],
      { stdio: 'pipe' },
    );
  } catch (error) {
    throw new StartError(
      `Cannot make the database's files in ${fresh}: ${String((error as { stderr?: Buffer }).stderr ?? error).slice(0, 400)}`,
    );
  }
  renameSync(fresh, data);
}

const halfMade = 'data.new-';

function sweepHalfMade(path: string): void {
  for (const name of readdirSync(path).filter((one) => one.startsWith(halfMade))) {
    try {
      rmSync(join(path, name), { recursive: true, force: true, maxRetries: 3 });
    } catch {
      // Still written into: the next start takes it away.
    }
  }
}

/** What was noted at the last start; null when that is missing or damaged: the key is then made anew. */
export function stateOf({ path }: Pick<ServerFolder, 'path'>): State | null {
  try {
    const { port, password } = JSON.parse(readFileSync(join(path, 'server.json'), 'utf8')) as Partial<State>;
    return typeof port === 'number' && typeof password === 'string' && password.length > 0 ? { port, password } : null;
  } catch {
    return null;
  }
}

export function newPassword(): string {
  return randomBytes(24).toString('base64url');
}

/** Notes port and password, beside and moved into place. */
export function keepState({ path }: ServerFolder, state: State): void {
  writeAside(join(path, 'server.json'), JSON.stringify(state));
}

/**
 * What the database does before it answers anybody: the owner's password is set, and nobody else is known of those that
 * the installation made. Returns the file, for the database's user only.
 */
export function firstWords({ run, asUser }: ServerFolder, { password }: State): string {
  const file = join(run, 'first.sql');
  const hosts = ['localhost', '127.0.0.1', '::1'];
  const lines = [
    `DELETE FROM mysql.global_priv WHERE user IN ('root', '') AND host NOT IN (${hosts.map((host) => `'${host}'`).join(', ')});`,
    'FLUSH PRIVILEGES;',
    ...hosts.map((host) => `ALTER USER IF EXISTS 'root'@'${host}' IDENTIFIED BY '${password}';`),
  ];
  writeAside(file, `${lines.join('\n')}\n`);
  if (asUser) giveTo(asUser, file, 0o600);
  return file;
}

function writeAside(file: string, text: string): void {
  writeFileSync(`${file}.new`, text, { mode: 0o600, flush: true });
  renameSync(`${file}.new`, file);
}
