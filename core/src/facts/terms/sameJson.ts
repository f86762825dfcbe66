/** Equality of plain data. */

/** Equality of plain data; the order of keys does not count, since databases may change it. */
export function sameJson(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keysA = definedKeys(a);
  const keysB = definedKeys(b);
  return keysA.length === keysB.length && keysA.every((key) => sameJson(a[key as never], b[key as never]));
}

function definedKeys(value: object): string[] {
  return Object.keys(value).filter((key) => value[key as never] !== undefined);
}
