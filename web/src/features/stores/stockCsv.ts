/**
 * Stock and kit as CSV, written and read. Read: with or without byte-order mark, comma, semicolon or tab, quotes, columns
 * in any order; anything else is refused with its line, and nothing of the file is taken.
 */
import type { KitLine, StockLine } from '@junctor/core';
import Papa from 'papaparse';

export interface CsvFault {
  line: number;
  says: string;
}

export type CsvRead<Row> = { ok: true; rows: readonly Row[] } | { ok: false; faults: readonly CsvFault[] };

type Cell = Readonly<Record<string, string>>;

const stockColumns = ['key', 'name', 'unit', 'on hand', 'place', 'offcut', 'gauge awg', 'colour', 'length mm', 'pitch mm', 'ways', 'family'];
const kitColumns = ['key', 'name', 'needed', 'unit', 'counted'];
const units: ReadonlySet<string> = new Set(['pieces', 'mm', 'g']);

export function writeStock(lines: readonly StockLine[]): string {
  const rows = lines.map(({ key, name, unit, onHand, place, offcut, doc }) => [key, name, unit, onHand, place, offcut ? 'yes' : 'no', doc.awg, doc.colour, doc.lengthMm, doc.pitchMm, doc.ways, doc.family].map((one) => one ?? ''));
  return withMark(Papa.unparse({ fields: stockColumns, data: rows }, { escapeFormulae: true }));
}

export function writeKit(lines: readonly (KitLine & { counted: number | null })[]): string {
  return withMark(Papa.unparse({ fields: kitColumns, data: lines.map(({ key, name, needed, unit, counted }) => [key, name, needed, unit, counted ?? '']) }, { escapeFormulae: true }));
}

/** Spreadsheets take a file for UTF-8 by this mark. */
function withMark(text: string): string {
  return `\ufeff${text}\r\n`;
}

export function readStock(text: string, newId: () => string): CsvRead<StockLine> {
  return readRows(text, stockColumns, ['key', 'name', 'unit', 'on hand'], (cell, fault) => {
    const onHand = number(cell['on hand'], fault, 'on hand');
    if (!units.has(cell.unit ?? '')) fault(`unit is pieces, mm or g, not “${cell.unit}”`);
    if (!['', 'yes', 'no', undefined].includes(cell.offcut)) fault(`offcut is yes or no, not “${cell.offcut}”`);
    const optional = (name: string) => (cell[name] ? number(cell[name], fault, name) : undefined);
    const doc = { awg: optional('gauge awg'), colour: cell.colour || undefined, lengthMm: optional('length mm'), pitchMm: optional('pitch mm'), ways: optional('ways'), family: cell.family || undefined };
    if (!cell.key) fault('key is empty');
    if (!cell.name) fault('name is empty');
    return { id: newId(), key: cell.key ?? '', name: cell.name ?? '', unit: cell.unit as StockLine['unit'], onHand, place: cell.place ?? '', offcut: cell.offcut === 'yes', doc: Object.fromEntries(Object.entries(doc).filter(([, value]) => value !== undefined)) };
  }, ({ key, offcut }) => (offcut ? null : key));
}

export function readKit(text: string, lines: readonly KitLine[]): CsvRead<{ key: string; counted: number }> {
  const known = new Set(lines.map(({ key }) => key));
  return readRows(text, kitColumns, ['key', 'counted'], (cell, fault) => {
    if (!known.has(cell.key ?? '')) fault(`“${cell.key}” is no line of this kit`);
    return { key: cell.key ?? '', counted: number(cell.counted, fault, 'counted') };
  }, ({ key }) => key);
}

function readRows<Row>(text: string, columns: readonly string[], wanted: readonly string[], make: (cell: Cell, fault: (says: string) => void) => Row, unique: (row: Row) => string | null): CsvRead<Row> {
  const plain = text.replace(/^\ufeff/, '');
  const parsed = Papa.parse<string[]>(plain, { skipEmptyLines: false, delimiter: separatorOf(plain) });
  const faults: CsvFault[] = parsed.errors.filter(({ type }) => type === 'Quotes').map(({ row, message }) => ({ line: (row ?? 0) + 1, says: message }));
  const [head = [], ...body] = parsed.data;
  const names = head.map((name) => name.trim().toLowerCase().replace(/_/g, ' '));
  for (const name of wanted) if (!names.includes(name)) faults.push({ line: 1, says: `there is no column “${name}”` });
  for (const name of names) if (!columns.includes(name)) faults.push({ line: 1, says: `there is no such column as “${name}”` });
  names.forEach((name, index) => { if (names.indexOf(name) !== index) faults.push({ line: 1, says: `column “${name}” is there twice` }); });
  if (faults.length > 0) return { ok: false, faults };
  const seen = new Map<string, number>();
  const rows = body.flatMap((cells, index): Row[] => {
    const line = index + 2;
    if (cells.every((cell) => cell.trim() === '')) return [];
    const fault = (says: string) => void faults.push({ line, says });
    if (cells.length !== names.length) fault(`has ${cells.length} cells, the head has ${names.length}`);
    // What begins like a formula was written with an apostrophe in front.
    const cell = Object.fromEntries(names.map((name, at) => [name, (cells[at] ?? '').trim().replace(/^'(?=[=+\-@])/, '')]));
    const row = make(cell, fault);
    const key = unique(row);
    if (key !== null && seen.has(key)) fault(`“${key}” stood on line ${seen.get(key)} already`);
    if (key !== null) seen.set(key, line);
    return [row];
  });
  if (rows.length === 0 && faults.length === 0) faults.push({ line: 1, says: 'the file has no rows' });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, rows };
}

/** What stands most often in the head; a guess over the cells is misled by what they hold. */
function separatorOf(text: string): string {
  const head = text.split(/\r?\n/, 1)[0] ?? '';
  return [',', ';', '\t'].reduce((best, one) => (head.split(one).length > head.split(best).length ? one : best));
}

/** A number with point or comma; thousands are not guessed at. */
function number(cell: string | undefined, fault: (says: string) => void, name: string): number {
  const value = Number((cell ?? '').replace(',', '.'));
  if (cell === undefined || cell === '' || !Number.isFinite(value) || value < 0 || value > 1e9) fault(`${name} is a number of 0 or more, not “${cell ?? ''}”`);
  return value;
}
