/** This tablet: an id that it keeps, and ids for what it records. */
import { v7 } from 'uuid';

const storageKey = 'junctor.device';

export function deviceId(): string {
  const known = localStorage.getItem(storageKey);
  if (known) return known;
  const made = v7();
  localStorage.setItem(storageKey, made);
  return made;
}

export const newId = (): string => v7();
