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

/** The plan with the chosen models in place, and what found no pad. */
export function useSwapped(plan: PlanDraft | null, choices: readonly Choice[]): Swapped | null {
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
  if (!plan || choices.length === 0) return plan && { plan, lost: [] };
  if (!models.data) return null;
  const model = (id: string) => models.data.find((known) => known.id === id)!;
  return choices.reduce<Swapped>(
    (so, { slot, id }) => {
      const { plan: next, lost } = swapModel(so.plan, slot, model(so.plan.target.slots[slot]!.model), model(id));
      return { plan: next, lost: [...so.lost, ...lost] };
    },
    { plan, lost: [] },
  );
}
