/**
 * Focus is where work begins, and never lost: on the main answer, or on the sentence where nothing may be answered yet.
 */
import { useLayoutEffect } from 'react';
import type { RefObject } from 'react';

export function useFocusStart(page: RefObject<HTMLElement | null>): void {
  // With every change: a button that was answered may be gone.
  useLayoutEffect(() => {
    const heading = page.current?.querySelector<HTMLElement>('h1') ?? null;
    const active = document.activeElement;
    // The heading is only where the focus waits until there is something to answer.
    if (active !== null && active !== document.body && active !== heading) return;
    const start = page.current?.querySelector<HTMLElement>('[data-main]:not([aria-disabled])') ?? heading;
    if (start !== active) start?.focus({ preventScroll: true });
  });
}
