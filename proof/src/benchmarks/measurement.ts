export interface Measurement {
  what: string;
  value: string;
  unit: string;
  /** What it must come to, in words. */
  bar: string;
  met: boolean;
}

/** A measurement that must not exceed a bar. */
export function atMost(what: string, value: number, unit: string, bar: number, digits = 1): Measurement {
  return { what, value: value.toFixed(digits), unit, bar: `<=${bar}`, met: value <= bar };
}
