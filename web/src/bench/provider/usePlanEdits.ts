/** Changes of the plan made here, with undo and redo. Another person's change of the same thing is named in words. */
import type { PlanChange } from '@junctor/core';
import { reversePlanChanges } from '@junctor/core';
import { useState } from 'react';
import { ApiError } from '../../api/client';
import { useChangePlan } from '../../api/queries';
import type { Bench } from './bench';

interface PlanEdits {
  make: (changes: readonly PlanChange[], then?: () => void) => void;
  undo: () => void;
  redo: () => void;
  canUndo: boolean;
  canRedo: boolean;
  pending: boolean;
  failed: string | null;
}

export function usePlanEdits(bench: Bench): PlanEdits {
  const change = useChangePlan(bench.job.id);
  const [made, setMade] = useState<readonly (readonly PlanChange[])[]>([]);
  const [undone, setUndone] = useState<readonly (readonly PlanChange[])[]>([]);
  const send = (changes: readonly PlanChange[], onSuccess: () => void) =>
    change.mutate({ version: bench.job.plan.version, changes }, { onSuccess });
  const [last, next] = [made.at(-1), undone.at(-1)];
  return {
    make: (changes, then) =>
      send(changes, () => {
        setMade([...made, changes]);
        setUndone([]);
        then?.();
      }),
    undo: () =>
      last &&
      send(reversePlanChanges(last), () => {
        setMade(made.slice(0, -1));
        setUndone([...undone, last]);
      }),
    redo: () =>
      next &&
      send(next, () => {
        setUndone(undone.slice(0, -1));
        setMade([...made, next]);
      }),
    canUndo: last !== undefined,
    canRedo: next !== undefined,
    pending: change.isPending,
    failed: change.error ? conflictWords(change.error) : null,
  };
}

const things: Readonly<Record<string, string>> = {
  wires: 'wire',
  slots: 'part',
  housings: 'housing',
  mates: 'plug',
  links: 'purpose',
  wishes: 'wish',
  pinned: 'choice',
  schools: 'school',
  stacks: 'stack',
};

/** What somebody else has changed, as it is called at the bench. */
function conflictWords(error: Error): string {
  if (!(error instanceof ApiError) || error.refusal.code !== 'plan.conflict' || !error.refusal.path)
    return error.message;
  const [part, ...name] = error.refusal.path.split('/');
  return `somebody else has changed ${things[part!] ?? part} ${name.join('/')} meanwhile. Theirs is shown now; look, and do it again if it still holds.`;
}
