/**
 * One part of a quad replaced by another: what comes off and goes on again, what is read with it, what is proved again.
 * Another model is planned in its place; what the rules say of that is said before.
 */
import type { Destination, PartLine, Plan } from '@junctor/core';
import { newFindings, planChangesTo, replacementOf, slotTitle } from '@junctor/core';
import { useMemo, useState } from 'react';
import type { FormEvent } from 'react';
import { useParams } from 'react-router';
import { newId } from '../../../api/device';
import { keys } from '../../../api/keys';
import { covers, modelsNamed, useChangePlan, useModels, useSend } from '../../../api/queries';
import { useModelIndex, useParts } from '../../../api/stores';
import { useSwapped } from '../../../api/swapped';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { AnswerRow } from '../../../ui/Answers';
import { Head } from '../../../ui/Head';
import { ChoiceField, FormPage, FormProblem, SubmitButton, WordsField } from '../../../ui/form';
import { fieldErrors } from '../../../ui/fieldErrors';
import { PickSlot } from './PickSlot';
import { Replacing } from './Replacing';

export function ReplacePart() {
  const { slot } = useParams();
  const { state } = useBench();
  return slot !== undefined && slot in state.asBuilt.build.slots ? <ReplaceIn key={slot} slot={slot} /> : <PickSlot />;
}

const newOne = 'a new one';
const unnamed = 'no serial';
const places: readonly { value: Destination; label: string }[] = [
  { value: 'customer', label: 'back to the customer' },
  { value: 'scrap', label: 'scrap' },
  { value: 'stock', label: 'into our stores' },
];

function ReplaceIn({ slot }: { slot: string }) {
  const bench = useBench();
  const doors = useDoors();
  const { asBuilt, touches } = bench.state;
  const { plan } = bench.job;
  const own = asBuilt.build.slots[slot]!;
  const index = useModelIndex().data ?? [];
  const inHand = usePartsFor(slot);
  const [chosen, setChosen] = useState(newOne);
  const part = inHand.find(({ id }) => id === chosen) ?? null;
  const model = part?.model ?? own.model;
  const revision = part?.revision ?? own.revision;
  const { swapped, whenSwapped } = useSwapped(plan, model === own.model ? [] : [{ slot, id: model, revision }]);
  // Both plans are judged: what the rules say of the new one and not of this.
  const planned = swapped ? [plan, swapped.plan].flatMap(({ target: of }) => modelsNamed(of, [])) : [];
  const models = useModels(planned).data;
  const enter = useSend<object, PartLine>(() => '/parts', [keys.parts()]);
  const change = useChangePlan(bench.job.id);
  const [problem, setProblem] = useState<string | null>(null);
  const work = useMemo(() => replacementOf(asBuilt, touches.list, slot), [asBuilt, touches.list, slot]);
  const errors = fieldErrors(enter.error);
  const replace = async (
    partId: string | null,
    said: { oldSerial: string | null; oldTo: Destination; reason: string },
  ) => {
    const next = await whenSwapped();
    if (!next) return setProblem('The part models have not come: press again');
    bench.record([{ saw: 'replace', slot, part: partId, ...said }], null);
    if (model !== own.model) {
      const changes = planChangesTo(plan, next.plan as Plan);
      await change.mutateAsync({ version: plan.version, changes });
    }
    doors.leave(doors.places.now);
  };
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (name: string) => String(data.get(name) ?? '').trim();
    const said = {
      oldSerial: text('oldSerial') || null,
      oldTo: text('oldTo') as Destination,
      reason: text('reason'),
    };
    setProblem(null);
    if (chosen !== newOne) return void replace(part?.id ?? null, said);
    if (!text('serial')) return setProblem('Type the serial of the new part, or choose “no serial on it”');
    const made = {
      id: newId(),
      model: own.model,
      revision: own.revision,
      serial: text('serial'),
      batch: null,
      owner: null,
      origin: 'new',
      condition: 'untested',
      firmware: null,
      weightG: null,
    };
    enter.mutate(made, { onSuccess: ({ id }) => void replace(id, said) });
  };
  const differs =
    swapped && covers(models, planned) ? newFindings(plan, swapped.plan, models).map(({ message }) => message) : [];
  const nameOf = (id: string) => index.find((one) => one.id === id)?.name ?? id;
  return (
    <FormPage
      title={`Replace ${slotTitle(slot, asBuilt)}, ${nameOf(own.model)}`}
      head={<Head title={`${bench.job.quad}, ${bench.job.title}`} />}
      onSubmit={submit}
      wide
    >
      <ChoiceField
        key={String(inHand.length)}
        name="part"
        label="The new part"
        options={[
          { value: newOne, label: 'a new one of the same model, serial below' },
          { value: unnamed, label: 'the same model, no serial on it' },
          ...inHand.map(({ id, model: of, serial, condition, owner }) => ({
            value: id,
            label: `${nameOf(of)}${serial ? ` ${serial}` : ''}, ${condition}${owner ? `, ${owner}’s` : ''}`,
          })),
        ]}
        onChange={setChosen}
      />
      {chosen === newOne && (
        <WordsField name="serial" label="Serial of the new part" autoFocus error={errors.of('serial')} />
      )}
      <ChoiceField name="oldTo" label="The old one goes" options={places} />
      <WordsField name="oldSerial" label="Serial of the old one, if there is one on it" />
      <WordsField name="reason" label="Why it is replaced" />
      <Replacing slot={slot} work={work} differs={differs} lost={swapped?.lost ?? []} />
      <FormProblem message={problem ?? errors.rest(['serial']) ?? (change.error ? change.error.message : null)} />
      <SubmitButton>Replace it</SubmitButton>
      <AnswerRow
        answers={[{ key: 'Escape', label: 'Close', hidden: true, act: () => doors.close(doors.places.find) }]}
      />
    </FormPage>
  );
}

/** Parts in the shop that are on no quad and are of the kind in the slot; those of its model first. */
function usePartsFor(slot: string): readonly PartLine[] {
  const { state } = useBench();
  const own = state.asBuilt.build.slots[slot]!;
  const kind = state.asBuilt.model(slot)!.kind;
  const index = useModelIndex().data ?? [];
  const parts = useParts('').data ?? [];
  const kindOf = new Map(index.map((model) => [model.id, model.kind]));
  return parts
    .filter(({ onQuad, condition, model }) => onQuad === null && condition !== 'scrap' && kindOf.get(model) === kind)
    .sort((a, b) => Number(b.model === own.model) - Number(a.model === own.model));
}
