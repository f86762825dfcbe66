/** Whether the page is as a media query says; follows it when a tablet is turned. */
import { useCallback, useSyncExternalStore } from 'react';

export function useMatches(query: string): boolean {
  const subscribe = useCallback(
    (changed: () => void) => {
      const media = window.matchMedia(query);
      media.addEventListener('change', changed);
      return () => media.removeEventListener('change', changed);
    },
    [query],
  );
  return useSyncExternalStore(subscribe, () => window.matchMedia(query).matches);
}
