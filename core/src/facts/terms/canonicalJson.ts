/** Plain data as text that is the same whatever the order of its keys: what comes out of a database keeps none. */
export function canonicalJson(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonicalJson).join(',')}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null';
  const entries = Object.entries(value)
    .filter(([, one]) => one !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1));
  return `{${entries.map(([name, one]) => `${JSON.stringify(name)}:${canonicalJson(one)}`).join(',')}}`;
}
