/**
 * What a table of plain data has under a name, or undefined: only what was put there, never what every object
 * inherits, so that a wire called `constructor` is not found before it exists.
 */
export function lookUp<K extends string, T>(
  table: Readonly<Record<K, T>> | null | undefined,
  key: NoInfer<K>,
): T | undefined {
  return table && Object.hasOwn(table, key) ? table[key] : undefined;
}
