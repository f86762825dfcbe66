/** Thrust against weight, by the motors' own table: only where it names this propeller. */
import type { Assembly } from '../../facts/assembly/assembly';
import { isMotor } from '../../facts/catalogue/kinds';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Range } from '../../facts/terms/names';
import { acrossMm } from '../../physics/layout/box';

export interface Thrust {
  /** All motors at full throttle against the weight. */
  toWeight: Range;
  /** What each motor draws in hover. */
  hoverA: number;
  /** Minutes of hover on four fifths of the pack. */
  hoverMin: number;
}

/** Propellers of one size pull alike within this. */
const sameMm = 8;
/** Tables come from a stand: in the aircraft it is less by so much, or as said. */
const installed: Range = [0.85, 1];
const usable = 0.8;
const cellV = 3.7;

type Row = NonNullable<PartModel['thrust']>[number];

/** null: a motor has no table, or none for this propeller. */
export function thrustOf(
  target: Assembly,
  { propeller, pack, g }: { propeller: PartModel; pack: PartModel; g: Range },
): Thrust | null {
  const motors = motorsOf(target);
  const tables = motors.map((motor) => rowsFor(motor, propeller));
  if (motors.length === 0 || !pack.cells || tables.some((rows) => rows.length === 0)) return null;
  const volts = pack.cells.series * cellV;
  // A motor turns with the volts, and pulls with the square of its turns.
  const full = tables.reduce((sum, rows) => sum + Math.max(...rows.map((row) => row.g * (volts / row.volts) ** 2)), 0);
  const middleG = (g[0] + g[1]) / 2;
  const hoverA = hoverWatts(tables[0]!, middleG / motors.length) / volts;
  return {
    toWeight: [(full * installed[0]) / g[1], (full * installed[1]) / g[0]],
    hoverA,
    hoverMin: (pack.cells.capacityAh * usable * 60) / (hoverA * motors.length),
  };
}

/** What each motor of an aircraft is. */
export function motorsOf({ build, model }: Assembly): PartModel[] {
  return Object.keys(build.slots).flatMap((slot) => (isMotor(model(slot)!.kind) ? [model(slot)!] : []));
}

function rowsFor({ thrust = [] }: PartModel, propeller: PartModel): Row[] {
  const across = acrossMm(propeller);
  return thrust.filter(({ propellerMm }) => Math.abs(propellerMm - across) <= sameMm);
}

/** From the nearest row: power goes with thrust to one and a half, as momentum theory has it. */
function hoverWatts(rows: readonly Row[], g: number): number {
  const by = [...rows].sort((a, b) => Math.abs(a.g - g) - Math.abs(b.g - g))[0]!;
  return by.volts * by.atA * (g / by.g) ** 1.5;
}
