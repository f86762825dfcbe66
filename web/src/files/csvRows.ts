/**
 * CSV as it comes: read with or without byte-order mark, with comma, semicolon or tab, quotes, columns in any order;
 * anything else is refused with its line, and nothing of the file is taken.
 */
import Papa from 'papaparse';

export interface CsvFault {
  line: number;
  message: string;
}

export type CsvRead<Row> = { ok: true; rows: readonly Row[] } | { ok: false; faults: readonly CsvFault[] };

type Cell = Readonly<Record<string, string>>;

/** Largest table that is read, in rows. */
const maxRows = 20_000;

/** A table as text; spreadsheets take it for UTF-8 by the mark at its start. */
export function writeRows(fields: readonly string[], data: readonly (readonly (string | number)[])[]): string {
  return `\ufeff${Papa.unparse({ fields: [...fields], data: data.map((row) => [...row]) }, { escapeFormulae: true })}\r\n`;
}

/** Rows made from cells by column name. `make` is given the line; `unique` names what may stand only once. */
export function readRows<Row>(
  text: string,
  {
    columns,
    wanted,
    make,
    unique,
  }: {
    columns: readonly string[];
    wanted: readonly string[];
    make: (cell: Cell, fault: (message: string) => void, line: number) => Row;
    unique: (row: Row) => string | null;
  },
): CsvRead<Row> {
  const plain = text.replace(/^\ufeff/, '');
  const parsed = Papa.parse<string[]>(plain, { skipEmptyLines: false, delimiter: separatorOf(plain) });
  const faults: CsvFault[] = parsed.errors
    .filter(({ type }) => type === 'Quotes')
    .map(({ row, message }) => ({ line: (row ?? 0) + 1, message }));
  const [head = [], ...body] = parsed.data;
  const names = head.map((name) => name.trim().toLowerCase().replace(/_/g, ' '));
  for (const name of wanted)
    if (!names.includes(name)) faults.push({ line: 1, message: `there is no column “${name}”` });
  for (const name of names)
    if (!columns.includes(name)) faults.push({ line: 1, message: `there is no such column as “${name}”` });
  names.forEach((name, index) => {
    if (names.indexOf(name) !== index) faults.push({ line: 1, message: `column “${name}” is there twice` });
  });
  if (body.length > maxRows) faults.push({ line: maxRows + 2, message: `a table has at most ${maxRows} rows` });
  if (faults.length > 0) return { ok: false, faults };
  const seen = new Map<string, number>();
  const rows = body.flatMap((cells, index): Row[] => {
    const line = index + 2;
    if (cells.every((cell) => cell.trim() === '')) return [];
    const fault = (message: string) => void faults.push({ line, message });
    if (cells.length !== names.length) fault(`has ${cells.length} cells, the head has ${names.length}`);
    // What begins like a formula was written with an apostrophe in front.
    const cell = Object.fromEntries(
      names.map((name, at) => [name, (cells[at] ?? '').trim().replace(/^'(?=[=+\-@])/, '')]),
    );
    const row = make(cell, fault, line);
    const key = unique(row);
    if (key !== null && seen.has(key)) fault(`“${key}” stood on line ${seen.get(key)} already`);
    if (key !== null) seen.set(key, line);
    return [row];
  });
  if (rows.length === 0 && faults.length === 0) faults.push({ line: 1, message: 'the file has no rows' });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, rows };
}

/** What stands most often in the head; a guess over the cells is misled by what they hold. */
function separatorOf(text: string): string {
  const head = text.split(/\r?\n/, 1)[0] ?? '';
  return [',', ';', '\t'].reduce((best, mark) => (head.split(mark).length > head.split(best).length ? mark : best));
}

/** A number with point or comma; thousands are not guessed at. */
export function numberIn(cell: string | undefined, fault: (message: string) => void, name: string): number {
  const value = Number((cell ?? '').replace(',', '.'));
  if (cell === undefined || cell === '' || !Number.isFinite(value) || value < 0 || value > 1e9)
    fault(`${name} is a number of 0 or more, not “${cell ?? ''}”`);
  return value;
}
