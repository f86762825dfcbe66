/** Union-find over numbered nodes. */

/**
 * For each node the one that stands for all that are joined with it.
 * @param before What is joined already.
 */
export function joinedUp(
  size: number,
  pairs: readonly { a: number; b: number }[],
  before: (node: number) => number = (node) => node,
): (node: number) => number {
  const parent = new Int32Array(size);
  for (let node = 0; node < size; node++) parent[node] = before(node);
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
