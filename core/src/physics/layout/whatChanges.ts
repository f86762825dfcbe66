/** What another pose of a part makes better and worse, margin by margin. */
import type { Layout } from './layout';
import type { Margin, MarginVerdict } from './margin';

interface LayoutChange {
  /** More of it; negative: less. */
  harnessMm: number;
  better: readonly Margin[];
  worse: readonly Margin[];
}

const rank: Readonly<Record<MarginVerdict, number>> = { go: 0, 'not known': 1, tight: 2, no: 3 };

export function whatChanges(before: Layout, after: Layout): LayoutChange {
  const nameOf = ({ kind, slots, what }: Margin) => `${kind}: ${slots.join(' ')}: ${what}`;
  const was = new Map(before.margins.map((one) => [nameOf(one), one.verdict]));
  const moved = (sign: 1 | -1) =>
    after.margins.filter((one) => sign * (rank[one.verdict] - rank[was.get(nameOf(one)) ?? 'go']) > 0);
  return { harnessMm: after.harnessMm - before.harnessMm, better: moved(-1), worse: moved(1) };
}
