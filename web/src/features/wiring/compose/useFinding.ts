/** Parts found and put on the heap, or taken in the place of others. */
import type { Catalogue, PartModel } from '@junctor/core';
import { inPlaceOf, makeCatalogue, putOn } from '@junctor/core';
import { useState } from 'react';
import { request } from '../../../api/client';
import { useModelIndex, useParts } from '../../../api/stores';
import { useBench } from '../../../bench/provider/useBench';
import type { HeapLine } from './heapLines';
import { slotsNamed } from './heapLines';
import type { PartFound } from './findParts';
import { countProblem, findParts, typedParts } from './findParts';
import type { Heaped } from './useHeap';

type Change = (edit: (now: Heaped) => Partial<Heaped>) => void;

/** What is looked for: one more, or another in the place of what is on a line. */
type Looking = { is: 'more' } | { is: 'instead'; line: HeapLine } | null;

export function useFinding(heaped: Heaped, catalogue: Catalogue, change: Change) {
  const { job } = useBench();
  const [looking, setLooking] = useState<Looking>(() =>
    Object.keys(heaped.slots).length === 0 ? { is: 'more' } : null,
  );
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const index = useModelIndex().data ?? [];
  // What is in hand comes before models: neither is shown before both have come.
  const inHand = useParts('').data;
  const taken = new Set(Object.values(heaped.slots).flatMap(({ part }) => part ?? []));
  const kinds = looking?.is === 'instead' ? [looking.line.model.kind] : null;
  const { count, words } = typedParts(typed);
  // What takes the place of others is one sort for all of them.
  const wanted = { words, count: kinds ? 1 : count };
  const found = inHand ? findParts(wanted, { index, inHand, taken, quad: job.quad, kinds }) : [];
  const put = async ({ model: { id, revision }, count, parts }: Pick<PartFound, 'model' | 'count' | 'parts'>) => {
    const [model] = await request<PartModel[]>('POST', '/catalogue/models', { wanted: [{ model: id, revision }] });
    if (!model) return setProblem('The catalogue has it no more.');
    const all = makeCatalogue([...catalogue.models, model]);
    if (looking?.is !== 'instead') return change((now) => putOn(now, { model, count, parts }, all));
    const { slots } = looking.line;
    const [part] = parts;
    const at = part === undefined ? slots : slots.slice(-1);
    change((now) => inPlaceOf(now, at, { model, ...(part === undefined ? {} : { part }) }, all));
    setLooking(null);
  };
  const take = (id: string) => {
    const one = found.find((line) => line.id === id);
    const against = one?.blocked ?? countProblem({ words, count });
    setProblem(against);
    if (!one || against) return;
    setTyped('');
    put(one).catch((error: unknown) => setProblem((error as Error).message));
  };
  const look = (next: Looking) => {
    setProblem(null);
    setTyped('');
    setLooking(next);
  };
  return {
    look,
    isOpen: looking !== null,
    problem,
    /** What was typed and nothing is called. */
    unknown: inHand && found.length === 0 ? words : '',
    put: (id: string, revision: number) => put({ model: { id, revision }, count: 1, parts: [] }),
    field: {
      label: looking?.is === 'instead' ? `In place of ${slotsNamed(looking.line.slots)}` : 'Put on the heap',
      typed,
      found,
      isLooking: inHand === undefined,
      onType: (next: string) => {
        setProblem(null);
        setTyped(next);
      },
      onTake: take,
      isOpen: looking !== null,
    },
  };
}
