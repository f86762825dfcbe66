/** A LIKE pattern for names that begin with what was typed: an index serves it. */
export function startsWith(typed: unknown): string {
  return `${typeof typed === 'string' ? typed.slice(0, 120).replace(/[\\%_]/g, '\\$&') : ''}%`;
}
