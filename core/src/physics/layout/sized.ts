/** Lengths with their tolerance, added and compared: at worst, and as it will most likely come out. */
import type { Body } from '../../facts/catalogue/partModel';
import type { Range } from '../../facts/terms/names';

/** A length that may be off by so much either way. */
export interface Sized {
  mm: number;
  tolMm: number;
}

export interface Reckoned {
  mm: number;
  /** With every length at its worst end at once. */
  worstMm: number;
  /** Where it lies 95 times of 100 at least, if every length within its tolerance is as likely as any other. */
  likelyMm: Range;
}

/**
 * Tolerances of what nobody has measured, in mm: plates as milled, grommets as they are squeezed, boards, cut screws,
 * turned nuts, outlines of parts, supplied leads.
 */
export const toleranceMm = {
  plate: 0.1,
  grommet: 0.5,
  board: 0.15,
  screw: 0.3,
  nut: 0.1,
  part: 0.3,
  post: 0.1,
  lead: 3,
} as const;

export function sized(mm: number, as: keyof typeof toleranceMm): Sized {
  return { mm, tolMm: toleranceMm[as] };
}

/** A length of a part itself: by its sheet, else as parts of its sort are. */
export function sizedPart({ tolMm = toleranceMm.part }: Pick<Body, 'tolMm'>, mm: number): Sized {
  return { mm, tolMm };
}

/** What there is less what is needed. */
export function reckon(there: readonly Sized[], needed: readonly Sized[]): Reckoned {
  const all = [...there, ...needed];
  const total = (list: readonly Sized[]) => list.reduce((sum, { mm }) => sum + mm, 0);
  const mm = total(there) - total(needed);
  const mostMm = all.reduce((sum, { tolMm }) => sum + tolMm, 0);
  // Independent errors add as squares; an even spread of half width t deviates by t over the root of 3.
  const deviationMm = Math.sqrt(all.reduce((sum, { tolMm }) => sum + tolMm ** 2 / 3, 0));
  const likelyMm = Math.min(mostMm, 2 * deviationMm);
  return { mm, worstMm: mm - mostMm, likelyMm: [mm - likelyMm, mm + likelyMm] };
}

/** Tenths of a millimetre as people say them; no minus before a nought. */
export function tenths(mm: number): string {
  const rounded = Math.round(mm * 10) / 10;
  return (Object.is(rounded, -0) ? 0 : rounded).toFixed(1);
}
