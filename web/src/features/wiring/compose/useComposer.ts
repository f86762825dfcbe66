/** Composing as a screen sees it: with every change begun afresh off the page, with progress; it can be stopped. */
import type { Composed } from '@junctor/core';
import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { ComposeQuestion } from '../../../compute/planWorker';
import type { PlanWorker } from '../../../compute/planner';
import { openPlanWorker } from '../../../compute/planner';

export type Composing =
  | { is: 'idle' }
  | { is: 'running'; share: number; words: string }
  | { is: 'answered'; made: Composed }
  | { is: 'failed'; why: string };

/** A hand that types on is not answered meanwhile. */
const pauseMs = 350;

/** @param question null: nothing to be asked; the same object is asked once. */
export function useComposer(question: ComposeQuestion | null) {
  const [state, setState] = useState<Composing>({ is: 'idle' });
  const worker = useRef<PlanWorker | null>(null);
  const end = useCallback(() => {
    worker.current?.end();
    worker.current = null;
  }, []);
  const ask = useCallback(
    async (asked: ComposeQuestion) => {
      end();
      const own = openPlanWorker();
      worker.current = own;
      const isStill = () => worker.current === own;
      setState({ is: 'running', share: 0, words: 'beginning' });
      try {
        const made = await own.ask.compose(
          asked,
          proxy((share: number, words: string) => isStill() && setState({ is: 'running', share, words })),
        );
        if (isStill()) setState({ is: 'answered', made });
      } catch (error) {
        if (isStill()) setState({ is: 'failed', why: error instanceof Error ? error.message : String(error) });
      } finally {
        own.end();
      }
    },
    [end],
  );
  useEffect(() => {
    setState({ is: 'idle' });
    const soon = question ? setTimeout(() => void ask(question), pauseMs) : undefined;
    return () => {
      clearTimeout(soon);
      end();
    };
  }, [question, ask, end]);
  return {
    state,
    askNow: () => question && void ask(question),
    cancel: () => {
      end();
      setState({ is: 'idle' });
    },
  };
}
