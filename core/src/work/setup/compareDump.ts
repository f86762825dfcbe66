/**
 * A pasted dump of settings held against the set-up sheet, line by line. Two forms are read: `key = value` lines, where
 * `#` starts a remark, and CSV with the columns key and value in any order. Spelling of keys: case, `_` and spaces are
 * alike.
 */
import type { SheetLine } from './setupSheet';

export interface DumpLine {
  /** 1 first; null for a line of the sheet that the dump does not have. */
  line: number | null;
  key: string;
  wanted: string | null;
  found: string | null;
  verdict: 'same' | 'differs' | 'missing' | 'not on the sheet' | 'to be measured';
}

export type DumpResult = { ok: true; lines: readonly DumpLine[] } | { ok: false; line: number; why: string };

const longest = 20_000;

export function compareDump(sheet: readonly SheetLine[], text: string): DumpResult {
  const read = readDump(text);
  if (!read.ok) return read;
  const found = new Map(read.entries.map((entry) => [same(entry.key), entry]));
  const onSheet = new Set(sheet.map(({ key }) => same(key)));
  const lines = sheet.map(({ key, value }): DumpLine => {
    const entry = found.get(same(key));
    const verdictOf = () => {
      if (value === null) return 'to be measured';
      if (!entry) return 'missing';
      if (same(entry.value) === same(value)) return 'same';
      return 'differs';
    };
    const verdict = verdictOf();
    return { line: entry?.line ?? null, key, wanted: value, found: entry?.value ?? null, verdict };
  });
  const more = read.entries
    .filter(({ key }) => !onSheet.has(same(key)))
    .map(({ line, key, value }): DumpLine => ({ line, key, wanted: null, found: value, verdict: 'not on the sheet' }));
  return { ok: true, lines: [...lines, ...more] };
}

interface Entry {
  line: number;
  key: string;
  value: string;
}

function readDump(text: string): { ok: true; entries: Entry[] } | { ok: false; line: number; why: string } {
  const rows = text.split(/\r\n|\r|\n/);
  if (rows.length > longest) return { ok: false, line: longest + 1, why: `a dump has at most ${longest} lines` };
  const head = rows.findIndex((row) => row.trim() !== '' && !row.trim().startsWith('#'));
  const columns = head < 0 ? [] : rows[head]!.split(',').map((cell) => same(cell));
  const csv = columns.includes('key') && columns.includes('value');
  const entries: Entry[] = [];
  for (const [index, row] of rows.entries()) {
    const bare = row.replace(/#.*$/, '').trim();
    if (bare === '' || (csv && index === head)) continue;
    const entry = csv ? fromCsv(bare, columns) : fromPair(bare);
    if (!entry)
      return {
        ok: false,
        line: index + 1,
        why: csv ? `a row has ${columns.length} cells` : 'a line is written key = value',
      };
    if (entries.some(({ key }) => same(key) === same(entry.key)))
      return { ok: false, line: index + 1, why: `${entry.key} stands there twice` };
    entries.push({ line: index + 1, ...entry });
  }
  return { ok: true, entries };
}

function fromPair(row: string): { key: string; value: string } | null {
  const at = row.indexOf('=');
  return at < 1 ? null : { key: row.slice(0, at).trim(), value: row.slice(at + 1).trim() };
}

function fromCsv(row: string, columns: readonly string[]): { key: string; value: string } | null {
  const cells = row.split(',').map((cell) => cell.trim().replace(/^"|"$/g, ''));
  const [key, value] = [cells[columns.indexOf('key')], cells[columns.indexOf('value')]];
  return cells.length !== columns.length || !key || value === undefined ? null : { key, value };
}

function same(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[_\s]+/g, ' ');
}
