/** Something half entered, kept in the browser until it is stored or thrown away. */
import { useState } from 'react';

interface KeptDraft<T> {
  draft: T;
  keep: (next: T) => void;
  /** It is stored: the next one begins. */
  forget: () => void;
}

/** @param key Under which it is kept. @param empty How it begins; also where what was kept cannot be read. */
export function useKeptDraft<T extends object>(key: string, empty: T): KeptDraft<T> {
  const [draft, setDraft] = useState<T>(() => kept(key, empty));
  return {
    draft,
    keep: (next) => {
      localStorage.setItem(key, JSON.stringify(next));
      setDraft(next);
    },
    forget: () => {
      localStorage.removeItem(key);
      setDraft(empty);
    },
  };
}

function kept<T extends object>(key: string, empty: T): T {
  try {
    const found = JSON.parse(localStorage.getItem(key) ?? 'null') as Partial<T> | null;
    return found && typeof found === 'object' ? { ...empty, ...found } : empty;
  } catch {
    return empty;
  }
}
