/**
 * Does the motor's speed on this pack suit the ESC? Electrical speed = turns per volt x full volts x pole pairs,
 * against the ESC's limit. Bands are shop values: propellers load the motor to about 80 % of its free speed.
 */
import type { Range, Slot } from '../../facts/terms/names';
import { packVolts } from '../../facts/terms/names';
import type { Assembly } from '../../facts/assembly/assembly';

interface MotorRisk {
  motor: string;
  slots: readonly Slot[];
  fullV: number;
  freeRpm: number;
  electricalRpm: number;
  /** Highest electrical speed of the ESC; null where nobody knows it. */
  limitErpm: number | null;
  band: 'easy' | 'near the limit' | 'over the limit' | 'not known';
  message: string;
}

const easyBelow = 0.75;

export function motorRisks(target: Assembly, cells: Range): MotorRisk[] {
  const models = Object.keys(target.build.slots).map((slot) => ({ slot, model: target.model(slot)! }));
  const limits = models.flatMap(({ model }) => (model.speed?.limitErpm ? [model.speed.limitErpm] : []));
  const limitErpm = limits.length > 0 ? Math.min(...limits) : null;
  const fullV = packVolts(cells)[1];
  const motors = models.filter(({ model }) => model.kind === 'motor' && model.speed?.kv);
  return [...new Set(motors.map(({ model }) => model))].map((model): MotorRisk => {
    const freeRpm = model.speed!.kv! * fullV;
    const pairs = model.speed!.polePairs ?? 7;
    const electricalRpm = freeRpm * pairs;
    const share = limitErpm === null ? null : electricalRpm / limitErpm;
    const band = bandOf(share);
    const slots = motors.filter((motor) => motor.model === model).map(({ slot }) => slot);
    return { motor: model.name, slots, fullV, freeRpm, electricalRpm, limitErpm, band, message: words(band, share) };
  });
}

function bandOf(share: number | null) {
  if (share === null) return 'not known';
  if (share < easyBelow) return 'easy';
  if (share < 1) return 'near the limit';
  return 'over the limit';
}

function words(band: MotorRisk['band'], share: number | null): string {
  if (band === 'not known') return 'The ESC has no speed limit in the catalogue: not judged';
  const percent = `${Math.round(100 * share!)} % of the ESC’s limit`;
  if (band === 'easy') return percent;
  return band === 'near the limit'
    ? `${percent}: hot windings and lost steps take the ESC along; a slower motor or one cell less`
    : `${percent}: it will lose step; another motor, fewer cells or another ESC`;
}

/** Failures of motor or ESC that are assumed in a quad's life, by band; shown with what follows from them. */
export const failureChance: Readonly<Record<MotorRisk['band'], number>> = {
  easy: 0.01,
  'near the limit': 0.05,
  'over the limit': 0.3,
  'not known': 0.05,
};

/** What a cheaper part is expected to cost, in the same money as its saving. */
export function expectedLoss(
  savingMinor: number,
  chanceOfFailure: number,
  costOfFailureMinor: number,
): { lossMinor: number; pays: boolean } {
  const lossMinor = Math.round(chanceOfFailure * costOfFailureMinor);
  return { lossMinor, pays: savingMinor > lossMinor };
}
