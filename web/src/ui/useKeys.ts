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
      // A list that is found in as one types is sent each letter as well, by the page itself.
      if (!event.isTrusted || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      if (belongsElsewhere(event)) return;
      const answer = answerTo(event, latest.current);
      if (!answer) return;
      // Also of a held key: the button that has the focus must not take it for a press.
      event.preventDefault();
      if (event.repeat) return;
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

/** In a field letters are letters, a dialog and an open list have keys of their own, Enter on a link follows it. */
function belongsElsewhere({ target, key }: KeyboardEvent): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.closest('[role="dialog"], [role="alertdialog"], [role="menu"], [data-trigger]')) return true;
  if (target.closest('input, textarea, select, [contenteditable], [role="spinbutton"]')) return key !== 'Escape';
  if (target.closest('[role="listbox"], [role="grid"]')) return walkingKeys.has(key);
  return key === 'Enter' && isMeantByEnter(target);
}

/** Enter follows a link, and presses the button that a keyboard has walked to; the main answer it gives anyhow. */
function isMeantByEnter(target: HTMLElement): boolean {
  if (target.closest('a, header button')) return true;
  const button = target.closest('button');
  return button !== null && !button.hasAttribute('data-main') && button.matches(':focus-visible');
}

/** What walks a list or a table and takes from it. */
const walkingKeys: ReadonlySet<string> = new Set([
  'Enter',
  'ArrowUp',
  'ArrowDown',
  'ArrowLeft',
  'ArrowRight',
  'Home',
  'End',
  'PageUp',
  'PageDown',
]);

function answerTo<A extends Pick<Answer, 'key' | 'also'>>(
  { key }: KeyboardEvent,
  answers: readonly A[],
): A | undefined {
  const wanted = key.length === 1 ? key.toLowerCase() : key;
  return (
    answers.find((answer) => answer.key === key) ??
    answers.find((answer) => answer.key === wanted || answer.also?.includes(wanted))
  );
}
