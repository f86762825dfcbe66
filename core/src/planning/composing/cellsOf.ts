/** With how many cells an aircraft of a heap flies. */
import { drivesMotors } from '../../facts/catalogue/kinds';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { Range } from '../../facts/terms/names';
import { packVolts } from '../../facts/terms/names';
import type { Heap } from './heap';
import { modelsOf } from './heap';

const mostCells = 14;

/** As said; else those of its pack; else the most that what drives the motors bears. */
export function cellsOf(heap: Heap, catalogue: Catalogue): Range {
  if (heap.cells) return heap.cells;
  const models = modelsOf(heap, catalogue);
  const pack = models.find(({ cells: own }) => own !== undefined)?.cells;
  if (pack) return [pack.series, pack.series];
  const bears = models
    .filter(drivesMotors)
    .flatMap(({ terminals }) => terminals.flatMap(({ roles }) => roles))
    .flatMap((role) => (role.is === 'supply' && role.dir === 'takes' ? [role.volts[1]] : []));
  const most = Math.min(...bears);
  const counts = Array.from({ length: mostCells }, (_, index) => index + 1);
  const series = counts.findLast((count) => packVolts([count, count])[1] <= most) ?? 1;
  return [series, series];
}
