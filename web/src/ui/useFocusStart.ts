/**
 * Focus is where work begins, and never lost: on the main answer, or on the sentence where nothing may be answered yet.
 */
import { useLayoutEffect } from 'react';
import type { RefObject } from 'react';

export function useFocusStart(page: RefObject<HTMLElement | null>): void {
  // With every change: a button that was answered may be gone.
  useLayoutEffect(() => {
    if (document.activeElement !== null && document.activeElement !== document.body) return;
    const start =
      page.current?.querySelector<HTMLElement>('[data-main]:not([aria-disabled])') ??
      page.current?.querySelector<HTMLElement>('h1');
    start?.focus({ preventScroll: true });
  });
}
