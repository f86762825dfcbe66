/**
 * Stock and kit as CSV, written and read. Read: with or without byte-order mark, comma, semicolon or tab, quotes,
 * columns
 * in any order; anything else is refused with its line, and nothing of the file is taken.
 */
import type { KitLine, StockLine } from '@junctor/core';
import type { CsvRead } from './csvRows';
import { numberIn, readRows, writeRows } from './csvRows';

const stockColumns = [
  'key',
  'name',
  'unit',
  'on hand',
  'place',
  'offcut',
  'gauge awg',
  'colour',
  'length mm',
  'pitch mm',
  'ways',
  'family',
];
const kitColumns = ['key', 'name', 'needed', 'unit', 'counted'];
const units: ReadonlySet<string> = new Set(['pieces', 'mm', 'g']);

export function writeStock(lines: readonly StockLine[]): string {
  const rows = lines.map(({ key, name, unit, onHand, place, offcut, doc }) =>
    [
      key,
      name,
      unit,
      onHand,
      place,
      offcut ? 'yes' : 'no',
      doc.awg,
      doc.colour,
      doc.lengthMm,
      doc.pitchMm,
      doc.ways,
      doc.family,
    ].map((cell) => cell ?? ''),
  );
  return writeRows(stockColumns, rows);
}

export function writeKit(lines: readonly (KitLine & { counted: number | null })[]): string {
  return writeRows(
    kitColumns,
    lines.map(({ key, name, needed, unit, counted }) => [key, name, needed, unit, counted ?? '']),
  );
}

export function readStock(text: string, newId: () => string): CsvRead<StockLine> {
  return readRows(text, {
    columns: stockColumns,
    wanted: ['key', 'name', 'unit', 'on hand'],
    make: (cell, fault) => {
      const onHand = numberIn(cell['on hand'], fault, 'on hand');
      if (!units.has(cell.unit ?? '')) fault(`unit is pieces, mm or g, not “${cell.unit}”`);
      if (!['', 'yes', 'no', undefined].includes(cell.offcut)) fault(`offcut is yes or no, not “${cell.offcut}”`);
      const optional = (name: string) => (cell[name] ? numberIn(cell[name], fault, name) : undefined);
      const doc = {
        awg: optional('gauge awg'),
        colour: cell.colour || undefined,
        lengthMm: optional('length mm'),
        pitchMm: optional('pitch mm'),
        ways: optional('ways'),
        family: cell.family || undefined,
      };
      if (!cell.key) fault('key is empty');
      if (!cell.name) fault('name is empty');
      return {
        id: newId(),
        key: cell.key ?? '',
        name: cell.name ?? '',
        unit: cell.unit as StockLine['unit'],
        onHand,
        place: cell.place ?? '',
        offcut: cell.offcut === 'yes',
        doc: Object.fromEntries(Object.entries(doc).filter(([, value]) => value !== undefined)),
      };
    },
    unique: ({ key, offcut }) => (offcut ? null : key),
  });
}

export function readKit(text: string, lines: readonly KitLine[]): CsvRead<{ key: string; counted: number }> {
  const known = new Set(lines.map(({ key }) => key));
  return readRows(text, {
    columns: kitColumns,
    wanted: ['key', 'counted'],
    make: (cell, fault) => {
      if (!known.has(cell.key ?? '')) fault(`“${cell.key}” is no line of this kit`);
      return { key: cell.key ?? '', counted: numberIn(cell.counted, fault, 'counted') };
    },
    unique: ({ key }) => key,
  });
}
