/** What has the same key together, keys in the order in which they first come. */
export function groupedBy<T, K>(list: readonly T[], key: (one: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const one of list) {
    const known = groups.get(key(one));
    if (known) known.push(one);
    else groups.set(key(one), [one]);
  }
  return groups;
}
