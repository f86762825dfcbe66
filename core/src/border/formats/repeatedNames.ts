/** Names that stand twice in one object of a JSON text: readers keep the last and lose the others in silence. */

/** The part of a JSON parser's tree that is needed here; jsonc-parser's `Node` is one. */
interface JsonNode {
  type: string;
  offset: number;
  value?: unknown;
  children?: readonly JsonNode[];
}

interface RepeatedName {
  /** Where in the file, like `plan.target.wires.W1`. */
  path: string;
  offset: number;
}

/** Each repetition, in the order of the text; empty when every name is alone in its object. */
export function repeatedNames(tree: JsonNode, path: readonly (string | number)[] = []): RepeatedName[] {
  const children = tree.children ?? [];
  if (tree.type === 'array') return children.flatMap((child, index) => repeatedNames(child, [...path, index]));
  if (tree.type !== 'object') return [];
  const seen = new Set<unknown>();
  return children.flatMap(({ children: pair = [], offset }): RepeatedName[] => {
    const [name, value] = pair;
    if (!name || !value) return [];
    const here = [...path, String(name.value)];
    const again = seen.has(name.value);
    seen.add(name.value);
    return [...(again ? [{ path: here.join('.'), offset }] : []), ...repeatedNames(value, here)];
  });
}
