/** The planner as a screen sees it: asked, running with progress, answered, cancelled. */
import type { Alternative, Planned, WayOut, Wish } from '@junctor/core';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { PlanAnswer, PlanQuestion } from '../../compute/planWorker';
import type { PlanWorker } from '../../compute/planner';
import { openPlanWorker } from '../../compute/planner';

type Planning =
  | { is: 'idle' }
  | { is: 'running'; share: number; words: string }
  | ({
      is: 'answered';
      question: PlanQuestion;
      ways: readonly WayOut[] | null;
      alternatives: { wish: string; list: readonly Alternative[] } | null;
    } & PlanAnswer)
  | { is: 'failed'; why: string };

interface Planner {
  state: Planning;
  ask: (question: PlanQuestion) => void;
  alternatives: (wish: Wish) => void;
  cancel: () => void;
  forget: () => void;
}

export function usePlanner(): Planner {
  const [state, setState] = useState<Planning>({ is: 'idle' });
  const worker = useRef<PlanWorker | null>(null);
  const end = () => {
    worker.current?.end();
    worker.current = null;
  };
  useEffect(() => end, []);
  const run = async (work: (worker: PlanWorker) => Promise<void>) => {
    end();
    const own = openPlanWorker();
    worker.current = own;
    try {
      await work(own);
    } catch (error) {
      if (worker.current === own)
        setState({ is: 'failed', why: error instanceof Error ? error.message : String(error) });
    } finally {
      own.end();
    }
  };
  return {
    state,
    ask: (question) =>
      void run(async (own) => {
        setState({ is: 'running', share: 0, words: 'beginning' });
        const answer = await own.ask.plan(
          question,
          proxy((share: number, words: string) => worker.current === own && setState({ is: 'running', share, words })),
        );
        if (worker.current !== own) return;
        setState({ is: 'answered', question, ...answer, ways: null, alternatives: null });
        if (answer.result.is !== 'conflict') return;
        const ways = await own.ask.waysOut(question, answer.result);
        if (worker.current === own) setState({ is: 'answered', question, ...answer, ways, alternatives: null });
      }),
    alternatives: (wish) => {
      if (state.is !== 'answered' || state.result.is !== 'planned') return;
      const { question, result } = state;
      void run(async (own) => {
        const list = await own.ask.alternatives(question, result as Planned, wish.id);
        if (worker.current === own) setState({ ...state, alternatives: { wish: wish.id, list } });
      });
    },
    cancel: () => {
      end();
      setState({ is: 'idle' });
    },
    forget: () => setState({ is: 'idle' }),
  };
}
