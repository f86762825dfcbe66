/** The touches as a table to tick off. */
import type { Assembly, ListedTouch, TouchList } from '@junctor/core';
import { touchRows } from '@junctor/core';
import { writeRows } from './csvRows';

export function writeTouches(list: TouchList, touches: readonly ListedTouch[], target: Assembly): string {
  const rows = touchRows({ ...list, touches }, target);
  return writeRows(
    ['no', 'mode', 'black', 'red', 'good', 'would show'],
    rows.map((row) => [row.no, row.mode, row.black, row.red, row.good, row['would show']]),
  );
}
