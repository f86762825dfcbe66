/** Another model in place of a template's: a controller of the shop's own, for one. Says what would have no pad. */
import type { PartModel, PlanDraft, Swapped } from '@junctor/core';
import { swapModel } from '@junctor/core';
import { useQuery } from '@tanstack/react-query';
import { request } from '../../api/client';
import { keys } from '../../api/keys';
import { useModelIndex } from '../../api/stores';
import { ChoiceField } from '../../ui/form';

const swappable = ['controller', 'single board', 'receiver'];

export interface Choice {
  slot: string;
  id: string;
  revision: number;
}

/** One choice a slot whose part can stand for another. */
export function AnotherPart({
  plan,
  onChoose,
}: {
  plan: PlanDraft;
  onChoose: (choice: Choice | null, slot: string) => void;
}) {
  const index = useModelIndex().data ?? [];
  const slots = Object.entries(plan.target.slots).flatMap(([slot, { model }]) => {
    const own = index.find(({ id }) => id === model);
    return own && swappable.includes(own.kind) ? [{ slot, own }] : [];
  });
  return slots.map(({ slot, own }) => {
    const others = index.filter(({ kind, id, retired }) => kind === own.kind && id !== own.id && !retired);
    const options = [
      { value: '', label: `${own.name}, as in the template` },
      ...others.map(({ id, name }) => ({ value: id, label: name })),
    ];
    const choose = (id: string) =>
      onChoose(id === '' ? null : { slot, id, revision: others.find((other) => other.id === id)!.revision }, slot);
    return (
      <ChoiceField
        key={`${slot}${own.id}${options.length}`}
        name={`part-${slot}`}
        label={`${own.kind} ${slot}`}
        options={options}
        onChange={choose}
      />
    );
  });
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
