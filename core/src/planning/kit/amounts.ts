/**
 * Amounts that a joint, a bundle or an arm takes. Shop values of general practice, each replaced by a shop's own later.
 * Wire diameters over silicone insulation in mm; solder density 8.5 g/cm3 (tin-lead).
 */

/** Offcut allowance over the sum of lengths. */
export const offcutShare = 0.1;
/** One sleeve over a bundle at its board. */
export const sleeveMm = 25;
/** Tape along one arm. */
export const tapePerArmMm = 80;

const overInsulationMm: readonly (readonly [awg: number, mm: number])[] = [
  [30, 0.8],
  [28, 1.2],
  [26, 1.3],
  [24, 1.6],
  [22, 1.7],
  [20, 1.8],
  [18, 2.3],
  [16, 3],
  [14, 3.5],
  [12, 4.5],
  [10, 5.5],
  [8, 6.3],
];

export function wireDiameterMm(awg: number): number {
  return (overInsulationMm.find(([gauge]) => gauge <= awg) ?? overInsulationMm.at(-1)!)[1];
}

const sleeveSizesMm = [1.5, 2, 3, 4, 5, 6, 8, 10, 12, 16, 20];

/** Shrink sleeve that goes over a bundle: a third wider than it, from the sizes sold. */
export function sleeveFor(awgs: readonly number[]): number {
  const area = awgs.reduce((sum, awg) => sum + wireDiameterMm(awg) ** 2, 0);
  const wide = Math.sqrt(area) * 1.15 * 1.33;
  return sleeveSizesMm.find((size) => size >= wide) ?? sleeveSizesMm.at(-1)!;
}

/** Solder of one joint in g: the pad under a hump of its own width's fifth, plus half again for tinning and waste. */
export function solderG([wMm, hMm]: readonly [number, number], awg: number): number {
  const humpMm = Math.max(0.4, Math.min(wMm, hMm) / 5 + wireDiameterMm(awg) / 4);
  return wMm * hMm * humpMm * 8.5e-3 * 1.5;
}

/** Screw length from the sizes sold, in mm. */
export function screwLengthMm(throughMm: number, intoMm: number): number {
  return (
    [4, 5, 6, 8, 10, 12, 14, 16, 18, 20, 22, 25, 28, 30, 35, 40].find((length) => length >= throughMm + intoMm) ?? 45
  );
}
