/** Numbers as people say and write them at the bench. */
import type { Range } from './names';
import { lookUp } from './lookUp';

const factors: Readonly<Record<string, number>> = { '': 1, m: 1e-3, k: 1e3, K: 1e3, M: 1e6 };

/**
 * The number that a text means, or null when it means none: `400k`, `2.2M`, `4k7`, `30 m`, `1,5`, `12 V`.
 * A prefix is k (thousand), M (million) or m (thousandth); the unit itself may follow it.
 * @param unit What is asked for; no other unit is understood.
 */
export function parseQuantity(text: string, unit = ''): number | null {
  const bare = text.trim().replace(',', '.');
  const number = bare.endsWith(unit) ? bare.slice(0, bare.length - unit.length).trim() : bare;
  const match = /^([+-]?\d*\.?\d*)\s*([kKMm]?)(\d*)$/.exec(number);
  if (!match) return null;
  const [, before, prefix, after] = match as unknown as [string, string, string, string];
  // 4k7 is 4.7 k: the prefix stands where the point would.
  if (after && (prefix === '' || before.includes('.'))) return null;
  if (!/\d/.test(before)) return null;
  return Number(after ? `${before}.${after}` : before) * lookUp(factors, prefix)!;
}

/**
 * The number that was meant when it only fits with a prefix that somebody forgot or added: 400 for 400 k. Null when it
 * fits as it is, or with no prefix at all.
 * @param typical What such a thing usually shows; three times more or less still fits.
 */
export function prefixSlip(value: number, [low, high]: Range): number | null {
  const fits = (number: number) => number >= low / 3 && number <= high * 3;
  if (value === 0 || fits(value)) return null;
  return [1e3, 1e-3, 1e6].map((factor) => value * factor).find(fits) ?? null;
}
