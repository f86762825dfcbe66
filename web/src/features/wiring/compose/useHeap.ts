/** The aircraft as it is put together at this tablet: kept in the browser until its plan is taken. */
import type { Draft } from '@junctor/core';
import { sameJson } from '@junctor/core';
import { useLayoutEffect, useMemo, useRef } from 'react';
import { useBench } from '../../../bench/provider/useBench';
import { useKeptDraft } from '../../../ui/useKeptDraft';
import type { Question } from '../question';
import { firstQuestion } from '../question';
import { rebased } from './rebased';

export interface Heaped extends Draft, Pick<Question, 'dormant'> {}

interface Kept {
  /** The plan that it was begun from, and what lay there. */
  version: number;
  base: Heaped['slots'];
  heaped: Heaped | null;
}

export function useHeap() {
  const { job, state } = useBench();
  const { plan } = job;
  const first = useMemo((): Heaped => {
    const question = firstQuestion(plan, state.asBuilt);
    const isEmpty = Object.keys(plan.target.slots).length === 0;
    return { ...question, cells: isEmpty ? null : question.cells };
  }, [plan, state.asBuilt]);
  const { draft, keep, forget } = useKeptDraft<Kept>(`junctor.heap.${job.id}`, {
    version: plan.version,
    base: first.slots,
    heaped: null,
  });
  const kept = useMemo(() => {
    if (!draft.heaped || draft.version === plan.version) return draft.heaped;
    return rebased(draft.heaped, draft.base, first);
  }, [draft, plan.version, first]);
  const heaped = kept ?? first;
  // A model that was asked for comes when another has been put on meanwhile.
  const latest = useRef(heaped);
  useLayoutEffect(() => {
    latest.current = heaped;
  });
  return {
    heaped,
    isChanged: kept !== null && !sameJson(kept, first),
    change: (edit: (now: Heaped) => Partial<Heaped>) => {
      latest.current = { ...latest.current, ...edit(latest.current) };
      keep({ version: plan.version, base: first.slots, heaped: latest.current });
    },
    forget,
  };
}
