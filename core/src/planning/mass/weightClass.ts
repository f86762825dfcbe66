/**
 * The shop's weight classes: its own list, by its local law. Junctor shows where a weight falls and decides nothing.
 */
import type { Range } from '../../facts/terms/names';

export interface WeightClass {
  name: string;
  /** Up to and with this. */
  upToG: number;
}

/** In rising order; the heaviest has no name of its own. */
export function weightClassOf(classes: readonly WeightClass[], g: Range): string | null {
  if (classes.length === 0) return null;
  const at = (grams: number) => classes.findIndex(({ upToG }) => grams <= upToG);
  const [low, high] = [at(g[0]), at(g[1])];
  const named = (index: number) => classes[index]?.name ?? `over ${classes.at(-1)!.upToG} g`;
  return low === high ? named(low) : `${named(low)} or ${named(high)}: weigh it`;
}
