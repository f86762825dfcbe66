/** Estimates of bench time in seconds, until the shop has learned its own. */

/** What does not depend on the wire or the part. */
export const seconds = {
  /** A joint opened, or reworked. */
  free: 60,
  fit: 60,
  take: 120,
  plug: 20,
} as const;

/**
 * A joint, by the wire's gauge: thick copper takes its time to heat. A wire of unknown gauge is taken for a thin one.
 */
export function jointS(awg = 28): number {
  if (awg < 17) return 150;
  return awg < 25 ? 75 : 60;
}
