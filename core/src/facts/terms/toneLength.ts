/** How long a continuity tone sounds: the only five classes, everywhere. */

export const lengths = ['none', 'chirp', 'about a second', 'many seconds', 'does not stop'] as const;

export type Length = (typeof lengths)[number];

/** Upper ends of the classes in seconds; a tone longer than the last does not stop within any patience. */
const upToS: readonly (readonly [Length, number])[] = [
  ['chirp', 0.35],
  ['about a second', 2.5],
  ['many seconds', 20],
];

/** A tone is watched this long before it counts as one that does not stop. */
export const watchS = 25;

/** The class of a tone of this many seconds; a tone too short for the meter to sound is none. */
export function lengthClass(toneS: number, shortestS: number): Length {
  if (toneS < shortestS) return 'none';
  return upToS.find(([, limitS]) => toneS <= limitS)?.[0] ?? 'does not stop';
}

/** Every class between two, both included. */
export function classesBetween(a: Length, b: Length): Length[] {
  const [from, to] = [lengths.indexOf(a), lengths.indexOf(b)].sort((x, y) => x - y) as [number, number];
  return lengths.slice(from, to + 1);
}
