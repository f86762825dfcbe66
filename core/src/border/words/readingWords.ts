/** What a meter says or may say, as it is said at the bench. */
import type { Expectation, Heard } from '../../facts/log/reading';
import type { Length } from '../../facts/terms/toneLength';

/** A tone's class. */
export function toneWords(length: Length): string {
  return length === 'none' ? 'silent' : length;
}

/** Every tone a good build may answer with. */
export function passesWords(passes: readonly Length[]): string {
  return passes.map(toneWords).join(' or ');
}

/** Short and readable: 0.000068 is 68 µ. */
export function numberWords(value: number): string {
  if (value === 0) return '0';
  const size = Math.abs(value);
  if (size >= 1e6) return `${+(value / 1e6).toPrecision(3)} M`;
  if (size >= 1e4) return `${+(value / 1e3).toPrecision(3)} k`;
  if (size >= 0.01) return String(+value.toPrecision(4));
  if (size >= 1e-3) return `${+(value * 1e3).toPrecision(3)} m`;
  return size >= 1e-6 ? `${+(value * 1e6).toPrecision(3)} µ` : `${+(value * 1e9).toPrecision(3)} n`;
}

/** What a meter may show, in ohms or, for a diode, in volts. */
export function bandWords([low, high]: readonly [number, number], mode: string): string {
  if (mode === 'diode') return `${low.toFixed(2)} to ${high.toFixed(2)} V`;
  return low > 5e6 ? 'open' : `${numberWords(low)} to ${numberWords(high)}${low >= 1e4 ? '' : ' '}Ω`;
}

/** What a good build shows, as a tone or as a number with its unit. */
export function expectedWords({ touch, passes, band, open }: Expectation): string {
  if (!band) return passesWords(passes);
  if (!open) return bandWords(band, touch.mode);
  return band[0] < band[1] ? `${bandWords(band, touch.mode)} or open` : 'open';
}

/** What was read. */
export function heardWords({ length, value, unit, open }: Pick<Heard, 'length' | 'value' | 'unit' | 'open'>): string {
  if (open) return 'open';
  return value === undefined ? toneWords(length ?? 'none') : `${numberWords(value)} ${unit === 'ohm' ? 'Ω' : 'V'}`;
}
