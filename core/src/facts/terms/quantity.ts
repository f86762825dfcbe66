/** Numbers as people say and write them at the bench. */

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
  return Number(after ? `${before}.${after}` : before) * factors[prefix]!;
}
