export interface Measurement {
  what: string;
  value: string;
  unit: string;
  /** What it must come to, in words. */
  bar: string;
  met: boolean;
}

/** A count of what must not happen at all. */
export function none(what: string, count: number): Measurement {
  return { what, value: String(count), unit: '', bar: '0', met: count === 0 };
}

/** A measurement that must not exceed a bar. */
export function atMost(
  what: string,
  { value, unit, bar, digits = 1 }: { value: number; unit: string; bar: number; digits?: number },
): Measurement {
  return { what, value: value.toFixed(digits), unit, bar: `<=${bar}`, met: value <= bar };
}
