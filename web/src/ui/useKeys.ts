/** Single keys of a screen. Held keys and a bouncing pedal answer once; in a text field letters are letters. */
import { useLayoutEffect, useRef } from 'react';
import type { Answer } from './Answers';

/** A pedal is Enter: what bounces within this answers nothing. */
const bounceMs = 350;
// A page that is quick to open must not take its first Enter for a bounce.
let lastEnterAt = -Infinity;

/** Tells on the page when Enter answers again. */
function settle(): void {
  document.body.dataset.enter = 'settling';
  setTimeout(() => (document.body.dataset.enter = 'ready'), bounceMs);
}

export function useKeys(answers: readonly Pick<Answer, 'key' | 'also' | 'act' | 'blocked'>[]): void {
  const latest = useRef(answers);
  // With the screen, not after it: a quick hand presses as soon as it sees.
  useLayoutEffect(() => {
    latest.current = answers;
  });
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.repeat || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      const typing =
        event.target instanceof HTMLElement &&
        event.target.closest('input, textarea, select, [contenteditable], [role="dialog"] form');
      if (typing && event.key !== 'Escape') return;
      const onControl = event.target instanceof HTMLElement && event.target.closest('a, header button');
      if (onControl && event.key === 'Enter') return;
      const wanted = event.key.length === 1 ? event.key.toLowerCase() : event.key;
      const answer =
        latest.current.find(({ key }) => key === event.key) ??
        latest.current.find(({ key, also }) => key === wanted || also?.includes(wanted));
      if (!answer) return;
      event.preventDefault();
      if (event.key === 'Enter') {
        const now = performance.now();
        if (now - lastEnterAt < bounceMs) return;
        lastEnterAt = now;
        settle();
      }
      if (!answer.blocked) answer.act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
