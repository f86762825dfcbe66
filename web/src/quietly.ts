/** Does something that a closed storage may refuse: then nothing has happened, and undefined comes back. */
export function quietly<T>(work: () => T): T | undefined {
  try {
    return work();
  } catch {
    return undefined;
  }
}
