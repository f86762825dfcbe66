/** What the environment and the command line say. */
import { isAbsolute, join, resolve } from 'node:path';
import { StartError } from './database/StartError';

interface Config {
  port: number;
  dataFolder: string;
  /** Another MariaDB instead of the private one: the owner's URL. */
  dbUrl: string | null;
  dbName: string;
  empty: boolean;
  /** False: only the interface for programs, while a development server gives the pages. */
  pages: boolean;
  /** Derived views are made again, all of them. */
  rebuild: boolean;
  durable: boolean;
  logLevel: string;
  signInTries: number;
  /** Nightly copies that are kept; 0: none are made. */
  nightlyCopies: number;
}

const known = ['--empty', '--rebuild', '--no-pages'];
const project = join(import.meta.dirname, '..', '..');

/** @throws {StartError} For a setting or an argument that means nothing. */
export function configFrom(env: Readonly<Record<string, string | undefined>>, args: readonly string[]): Config {
  const unknown = args.find((arg) => !known.includes(arg));
  if (unknown) throw new StartError(`Unknown argument ${unknown}. Known: ${known.join(', ')}`);
  const data = env.JUNCTOR_DATA ?? join(project, 'data');
  return {
    port: number(env.JUNCTOR_PORT, 4680, 'JUNCTOR_PORT'),
    dataFolder: isAbsolute(data) ? data : resolve(data),
    dbUrl: env.JUNCTOR_DB_URL ?? null,
    dbName: env.JUNCTOR_DB_NAME ?? 'junctor',
    empty: args.includes('--empty'),
    pages: !args.includes('--no-pages'),
    rebuild: args.includes('--rebuild'),
    durable: env.JUNCTOR_TEST_DATA !== '1',
    logLevel: env.JUNCTOR_LOG ?? 'warn',
    signInTries: number(env.JUNCTOR_SIGN_IN_TRIES, 30, 'JUNCTOR_SIGN_IN_TRIES'),
    nightlyCopies: number(env.JUNCTOR_NIGHTLY_COPIES, 14, 'JUNCTOR_NIGHTLY_COPIES'),
  };
}

function number(value: string | undefined, fallback: number, name: string): number {
  if (value === undefined) return fallback;
  if (!/^\d{1,5}$/.test(value)) throw new StartError(`${name} is not a number: ${value}`);
  return Number(value);
}
