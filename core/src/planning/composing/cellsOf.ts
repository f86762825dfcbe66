/** With how many cells an aircraft of a heap flies. */
import { drivesMotors } from '../../facts/catalogue/kinds';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Range } from '../../facts/terms/names';
import { packVolts } from '../../facts/terms/names';

const mostCells = 14;

/** Those of its pack; else the most that what drives the motors bears; null while nothing does. */
export function cellsOf(models: readonly PartModel[], pack: PartModel | null): Range | null {
  if (pack?.cells) return [pack.cells.series, pack.cells.series];
  const bears = models
    .filter(drivesMotors)
    .flatMap(({ terminals }) => terminals.flatMap(({ roles }) => roles))
    .flatMap((role) => (role.is === 'supply' && role.dir === 'takes' ? [role.volts[1]] : []));
  if (bears.length === 0) return null;
  const most = Math.min(...bears);
  const counts = Array.from({ length: mostCells }, (_, index) => index + 1);
  const series = counts.findLast((count) => packVolts([count, count])[1] <= most) ?? 1;
  return [series, series];
}
