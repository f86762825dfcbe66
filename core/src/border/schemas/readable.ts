/**
 * What no schema needs to say of itself: text is whole Unicode, numbers can be counted with, names are not those that
 * every object answers to, and nothing is nested without end.
 */
import type { Mistake } from './validate';

const deepest = 24;
const longestText = 200_000;

/** The first thing in a value that nobody can have meant, or null. */
export function unreadable(value: unknown, path: readonly string[] = []): Mistake | null {
  const wrong = (code: string, message: string): Mistake => ({ path: path.join('.'), code, message });
  if (path.length > deepest) return wrong('nested', 'it is nested too deeply');
  if (typeof value === 'string') {
    if (isBroken(value)) return wrong('text.broken', 'the text has broken characters');
    return value.length > longestText ? wrong('text.long', 'the text is too long') : null;
  }
  if (typeof value === 'number')
    return Number.isFinite(value) && Math.abs(value) <= Number.MAX_SAFE_INTEGER
      ? null
      : wrong('number.beyond', 'the number is beyond everything that is counted here');
  if (typeof value !== 'object' || value === null) return null;
  for (const [name, one] of Object.entries(value)) {
    if (!Array.isArray(value) && (inherited.has(name) || isBroken(name)))
      return wrong('name.reserved', 'something in it has a name that it cannot have');
    const found = unreadable(one, [...path, name]);
    if (found) return found;
  }
  return null;
}

/** Half a character of two, or the sign that ends a text for some programs. */
function isBroken(text: string): boolean {
  return /\p{Surrogate}/u.test(text) || text.includes('\u0000');
}

/** Names that every object answers to by itself: a table asked for one would find what nobody put there. */
export const inherited: ReadonlySet<string> = new Set(Object.getOwnPropertyNames(Object.prototype));
