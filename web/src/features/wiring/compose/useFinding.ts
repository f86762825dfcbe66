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
  const found = inHand ? findParts(typedParts(typed), { index, inHand, taken, quad: job.quad, kinds }) : [];
  const put = async (one: Pick<PartFound, 'model' | 'part'>, count: number) => {
    const { id, revision } = one.model;
    const [model] = await request<PartModel[]>('POST', '/catalogue/models', { wanted: [{ model: id, revision }] });
    if (!model) return setProblem('The catalogue has it no more.');
    const all = makeCatalogue([...catalogue.models, model]);
    const part = one.part === null ? {} : { part: one.part };
    if (looking?.is !== 'instead') return change((now) => putOn(now, { model, count, ...part }, all));
    const { slots } = looking.line;
    const at = one.part === null ? slots : slots.slice(-1);
    change((now) => inPlaceOf(now, at, { model, ...part }, all));
    setLooking(null);
  };
  const take = (id: string) => {
    const one = found.find((line) => line.id === id);
    const { count } = typedParts(typed);
    const against = one?.blocked ?? countProblem({ count: one?.part ? 1 : count, words: '' });
    setProblem(against);
    if (!one || against) return;
    setTyped('');
    put(one, one.part ? 1 : count).catch((error: unknown) => setProblem((error as Error).message));
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
    unknown: inHand && found.length === 0 ? typedParts(typed).words : '',
    put: (id: string, revision: number) => put({ model: { id, revision }, part: null }, 1),
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
