/** What makes a wiring crowded, by kind and in words: the planner avoids all of it, in this weight. */

/** What each kind weighs against a doubled pad. */
export const crowdWeight = { doubled: 1, 'over plan': 10, split: 1, nominal: 5, 'listened to': 5 } as const;
export type Crowd = keyof typeof crowdWeight;
export type Crowding = Readonly<Record<Crowd, number>>;

const words: Readonly<Record<Crowd, readonly [one: string, more: string]>> = {
  doubled: ['doubled pad', 'doubled pads'],
  'over plan': ['rail over three quarters of its limit', 'rails over three quarters of their limits'],
  split: ['pair of plus and minus split', 'pairs of plus and minus split'],
  nominal: ['supply that fits only by its print', 'supplies that fit only by their print'],
  'listened to': ['port that the boot loader listens to', 'ports that the boot loader listens to'],
};

/** "2 doubled pads", heaviest first; kinds that do not occur are left out. */
export function crowdingWords(crowding: Crowding): string[] {
  return (Object.keys(words) as Crowd[])
    .filter((kind) => crowding[kind] > 0)
    .sort((a, b) => crowdWeight[b] - crowdWeight[a])
    .map((kind) => `${crowding[kind]} ${words[kind][crowding[kind] === 1 ? 0 : 1]}`);
}

/** What the one has more of than the other; never below nothing. */
export function moreCrowding(than: Crowding, has: Crowding): Crowding {
  return Object.fromEntries(
    (Object.keys(words) as Crowd[]).map((kind) => [kind, Math.max(0, has[kind] - than[kind])]),
  ) as Record<Crowd, number>;
}
