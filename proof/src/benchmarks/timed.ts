/** Wall times of a piece of work. */

/** Milliseconds that the work took. */
export function timed(work: () => unknown): number {
  const from = performance.now();
  work();
  return performance.now() - from;
}

export function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
}
