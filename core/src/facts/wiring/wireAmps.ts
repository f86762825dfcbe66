/**
 * How much current a copper wire carries. Source: silicone wire practice, 5 A/mm2 in bundles and 10 A/mm2 in free air.
 */
const bundledAPerMm2 = 5;
const freeAPerMm2 = 10;

/** Diameter of solid copper in mm for an American wire gauge (ASTM B 258). */
export function diameterMm(awg: number): number {
  return 0.127 * 92 ** ((36 - awg) / 39);
}

/** Cross-section of copper in mm2 for an American wire gauge (ASTM B 258). */
export function areaMm2(awg: number): number {
  return (Math.PI / 4) * diameterMm(awg) ** 2;
}

/** Amps that a wire of this gauge carries. */
export function ampsFor(awg: number, bundled: boolean): number {
  return areaMm2(awg) * (bundled ? bundledAPerMm2 : freeAPerMm2);
}
