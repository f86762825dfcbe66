/** Soft penalties of a wiring, by kind and in words: the planner avoids all of them, in this weight. */

/** What each kind weighs against a doubled pad. */
export const penaltyWeight = {
  doubled: 1,
  'over plan': 10,
  apart: 10,
  split: 1,
  nominal: 5,
  'listened to': 5,
} as const;
export type SoftPenalty = keyof typeof penaltyWeight;
export type SoftPenalties = Readonly<Record<SoftPenalty, number>>;

const words: Readonly<Record<SoftPenalty, readonly [one: string, more: string]>> = {
  doubled: ['doubled pad', 'doubled pads'],
  'over plan': ['rail over three quarters of its limit', 'rails over three quarters of their limits'],
  apart: [
    'part whose ground is on another board than its supply',
    'parts whose grounds are on other boards than their supplies',
  ],
  split: ['pair of plus and minus split', 'pairs of plus and minus split'],
  nominal: ['supply that fits only by its print', 'supplies that fit only by their print'],
  'listened to': ['port that the boot loader listens to', 'ports that the boot loader listens to'],
};

/** "2 doubled pads", heaviest first; kinds that do not occur are left out. */
export function penaltyWords(softPenalties: SoftPenalties): string[] {
  return (Object.keys(words) as SoftPenalty[])
    .filter((kind) => softPenalties[kind] > 0)
    .sort((a, b) => penaltyWeight[b] - penaltyWeight[a])
    .map((kind) => `${softPenalties[kind]} ${words[kind][softPenalties[kind] === 1 ? 0 : 1]}`);
}

/** What the one has more of than the other; never below nothing. */
export function addedPenalties(than: SoftPenalties, has: SoftPenalties): SoftPenalties {
  return Object.fromEntries(
    (Object.keys(words) as SoftPenalty[]).map((kind) => [kind, Math.max(0, has[kind] - than[kind])]),
  ) as Record<SoftPenalty, number>;
}
