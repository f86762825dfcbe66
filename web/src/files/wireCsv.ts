/** The wire list as CSV, both ways. */
import type { WireRow } from '@junctor/core';
import type { CsvRead } from './csvRows';
import { numberIn, readRows, writeRows } from './csvRows';

const columns = ['wire', 'from', 'to', 'gauge awg', 'colour', 'length mm', 'purpose'];

export function writeWires(rows: readonly WireRow[]): string {
  return writeRows(
    columns,
    rows.map(({ wire, from, to, awg, colour, lengthMm, link }) => [wire, from, to, awg, colour, lengthMm ?? '', link]),
  );
}

export function readWires(text: string): CsvRead<{ line: number; row: WireRow }> {
  return readRows(text, {
    columns,
    wanted: ['wire', 'from', 'to', 'gauge awg', 'colour'],
    make: (cell, fault, line) => {
      for (const name of ['wire', 'from', 'to', 'colour']) if (!cell[name]) fault(`${name} is empty`);
      const awg = numberIn(cell['gauge awg'], fault, 'gauge awg');
      if (awg < 4 || awg > 40) fault(`gauge awg is 4 to 40, not ${awg}`);
      const row: WireRow = {
        wire: cell.wire ?? '',
        from: cell.from ?? '',
        to: cell.to ?? '',
        awg,
        colour: cell.colour ?? '',
        lengthMm: cell['length mm'] ? numberIn(cell['length mm'], fault, 'length mm') : null,
        link: cell.purpose ?? '',
      };
      return { line, row };
    },
    unique: ({ row }) => row.wire,
  });
}
