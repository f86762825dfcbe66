/** A good value made into one that nobody expected: other leaves, missing and unknown names, bytes that are no JSON. */
import { v7 } from 'uuid';

const half = String.fromCharCode(0xd800);
const nested = (depth: number): unknown => (depth === 0 ? 1 : { a: nested(depth - 1) });

/** What may stand anywhere. */
const odd: readonly unknown[] = [
  null,
  true,
  false,
  0,
  -1,
  1,
  0.5,
  -0.0001,
  2 ** 31,
  2 ** 53,
  -(2 ** 53),
  1e15,
  1e300,
  4294967296,
  '',
  ' ',
  'constructor',
  '__proto__',
  'toString',
  'hasOwnProperty',
  'valueOf',
  'prototype',
  half,
  `a${half}b`,
  'a\u0000b',
  '\u202e',
  '💥',
  'x'.repeat(300),
  'y'.repeat(5000),
  '../../etc/passwd',
  "'; DROP TABLE record; --",
  '<script>',
  '%s%n',
  '1970-01-01T00:00:00.000Z',
  '2099-12-31T23:59:59.999Z',
  '9999-99-99T99:99:99.999Z',
  '2026-02-30T00:00:00.000Z',
  '2026-11-31',
  'FC',
  'ESC',
  'BAT.PLUS',
  'BAT.MINUS',
  'FC.',
  '.FC',
  'constructor.x',
  '__proto__.y',
  'FC.5V1',
  'M1-A',
  'M1-A.b',
  'JE',
  'C1E',
  'wires/constructor',
  'slots/__proto__',
  'cells',
  'schools/x',
  'touch:x',
  'land:constructor.a',
  'none',
  'pass',
  'did',
  [],
  {},
  [null],
  [[[]]],
  { constructor: 1 },
  { saw: 'reading' },
  nested(60),
  Array.from({ length: 500 }, (_, index) => index),
];

type Chance = () => number;
const pick = <T>(list: readonly T[], chance: Chance): T => list[Math.floor(chance() * list.length)]!;

/** The value with one thing in it bent, some levels down. */
export function bend(value: unknown, chance: Chance): unknown {
  if (typeof value !== 'object' || value === null || chance() < 0.12) return chance() < 0.15 ? v7() : pick(odd, chance);
  if (Array.isArray(value)) return bendList(value, chance);
  const names = Object.keys(value);
  const name = pick(names, chance);
  const what = chance();
  if (names.length === 0 || what < 0.06)
    return { ...value, [pick(['extra', 'constructor', '__proto__', half], chance)]: 1 };
  if (what < 0.13) return Object.fromEntries(Object.entries(value).filter(([own]) => own !== name));
  return { ...value, [name]: bend((value as Record<string, unknown>)[name], chance) };
}

function bendList(list: readonly unknown[], chance: Chance): unknown[] {
  const what = chance();
  if (list.length === 0 || what < 0.1) return [...list, pick(odd, chance)];
  const at = Math.floor(chance() * list.length);
  if (what < 0.2) return [...list, list[at]];
  if (what < 0.27) return list.filter((_, index) => index !== at);
  return list.map((one, index) => (index === at ? bend(one, chance) : one));
}

/** JSON as text, now and then with a byte that breaks it. */
export function written(value: unknown, chance: Chance): string {
  const text = JSON.stringify(value) ?? 'null';
  if (chance() > 0.04) return text;
  const at = Math.floor(chance() * text.length);
  return pick(
    [text.slice(0, at), `${text.slice(0, at)}"${text.slice(at)}`, `${text}]`, '', 'null', '[', '{"a":1e999}'],
    chance,
  );
}

/** An address with something else in one of its places. */
export function bendPath(path: string, chance: Chance): string {
  if (chance() > 0.12) return path;
  const parts = path.split('/');
  const at = 1 + Math.floor(chance() * (parts.length - 1));
  const other = pick(
    [v7(), 'constructor', '%00', '%E0%A4%A', '..', '-1', 'x'.repeat(200), "'", '%F0%9F%92%A5', ''],
    chance,
  );
  return parts.map((part, index) => (index === at ? other : part)).join('/');
}
