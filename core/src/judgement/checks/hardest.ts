/** Of rows of things, one of each of which is needed: those that are not met wherever another one is. */
export function hardest(rows: readonly (readonly number[])[]): (readonly number[])[] {
  const sorted = rows.map((by) => ({ by, among: new Set(by) })).sort((a, b) => a.by.length - b.by.length);
  return sorted
    .filter(({ among }, index) => !sorted.slice(0, index).some((other) => other.by.every((one) => among.has(one))))
    .map(({ by }) => by);
}
