import type { Length } from '@junctor/core';

/** A tone's class as it is said at the bench. */
export function word(length: Length): string {
  return length === 'none' ? 'silent' : length;
}
