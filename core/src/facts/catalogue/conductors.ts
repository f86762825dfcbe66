/** What terminals on one conductor have in common. */
import type { Terminal } from './partModel';

/** A loose rail that reads less than this against ground is taken for shorted, or for no rail. */
export const shortBelowOhms = 20;

/** The first terminal of each conductor inside a part. */
export function firstOfNode(terminals: readonly Terminal[]): Terminal[] {
  const seen = new Set<string>();
  return terminals.filter(({ node }) => !seen.has(node) && Boolean(seen.add(node)));
}
