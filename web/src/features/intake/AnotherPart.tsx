/** Another model in place of a template's: a controller of the shop's own, for one. Says what would have no pad. */
import type { PlanDraft } from '@junctor/core';
import { useModelIndex } from '../../api/stores';
import type { Choice } from '../../api/swapped';
import { ChoiceField } from '../../ui/form';

const swappable = ['controller', 'single board', 'receiver'];

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
