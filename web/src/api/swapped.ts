/** A plan with other models in some of its slots. */
import type { PartModel, PlanDraft, Swapped } from '@junctor/core';
import { swapModel } from '@junctor/core';
import { useQuery } from '@tanstack/react-query';
import { request } from './client';
import { keys } from './keys';

export interface Choice {
  slot: string;
  id: string;
  revision: number;
}

interface Swapping {
  /** The plan with the chosen models in place, and what found no pad; null until the models have come. */
  swapped: Swapped | null;
  /** The same, waited for: a form may be sent before the models have come. Null without a plan or when none come. */
  whenSwapped: () => Promise<Swapped | null>;
}

export function useSwapped(plan: PlanDraft | null, choices: readonly Choice[]): Swapping {
  const wanted = plan
    ? [
        ...choices.map(({ id, revision }) => ({ model: id, revision })),
        ...choices.map(({ slot }) => ({
          model: plan.target.slots[slot]!.model,
          revision: plan.target.slots[slot]!.revision,
        })),
      ]
    : [];
  const models = useQuery({
    queryKey: keys.swapModels(wanted),
    enabled: wanted.length > 0,
    staleTime: Infinity,
    queryFn: () => request<PartModel[]>('POST', '/catalogue/models', { wanted }),
  });
  const withModels = (come: readonly PartModel[] | undefined) => {
    if (!plan || choices.length === 0) return plan && { plan, lost: [] };
    return come ? swapAll(plan, choices, come) : null;
  };
  return {
    swapped: withModels(models.data),
    whenSwapped: async () => withModels(models.data ?? (wanted.length > 0 ? (await models.refetch()).data : undefined)),
  };
}

function swapAll(plan: PlanDraft, choices: readonly Choice[], models: readonly PartModel[]): Swapped {
  const model = (id: string) => models.find((known) => known.id === id)!;
  return choices.reduce<Swapped>(
    (so, { slot, id }) => {
      const { plan: next, lost } = swapModel(so.plan, slot, model(so.plan.target.slots[slot]!.model), model(id));
      return { plan: next, lost: [...so.lost, ...lost] };
    },
    { plan, lost: [] },
  );
}
