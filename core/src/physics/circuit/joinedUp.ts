/** Union-find over numbered nodes. */

/** For each node the one that stands for all that are joined with it. */
export function joinedUp(size: number, pairs: readonly { a: number; b: number }[]): (node: number) => number {
  const parent = new Int32Array(size);
  for (let node = 0; node < size; node++) parent[node] = node;
  const find = (node: number): number => {
    let root = node;
    while (parent[root] !== root) root = parent[root]!;
    for (let at = node; parent[at] !== root;) {
      const next = parent[at]!;
      parent[at] = root;
      at = next;
    }
    return root;
  };
  for (const { a, b } of pairs) parent[find(a)] = find(b);
  return find;
}
