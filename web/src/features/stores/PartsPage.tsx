/** Parts in hand: physical items with serial, owner, origin and condition. Used and doubtful ones say so. */
import { useState } from 'react';
import { places } from '../../addresses';
import type { FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { newId } from '../../api/device';
import { keys } from '../../api/keys';
import { useCustomers, useSend } from '../../api/queries';
import { useModelIndex, useParts } from '../../api/stores';
import { fieldErrors } from '../../ui/fieldErrors';
import { ChoiceField, FormProblem, NumberTextField, SubmitButton, typedNumber, WordsField } from '../../ui/form';
import { Columns, Lines, Sheet } from '../../ui/Sheet';
import { findable, findModels } from '../../ui/findModels';
import { Find } from '../../ui/Find';
import { Small } from '../../ui/Small';
import { Beside, Stack, Words } from '../../ui/layout';

export function PartsPage() {
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const parts = useParts(typed.trim());
  const index = useModelIndex();
  const names = new Map((index.data ?? []).map(({ id, name }) => [id, name]));
  return (
    <Sheet
      place="stores, parts in hand"
      title="Which part is in hand?"
      go={(to) => void navigate(to)}
      doors={[
        { key: 'l', label: 'Part models', to: places.stores },
        { key: 's', label: 'Stock and offcuts', to: places.stock },
      ]}
    >
      <Columns>
        <section>
          <WordsField name="q" label="First letters of model, serial or batch" autoFocus onChange={setTyped} />
          <Lines aria-label="Parts in hand">
            {(parts.data ?? []).map(({ id, model, serial, batch, owner, origin, condition, onQuad }) => (
              <li key={id}>
                <span>
                  <Link to={places.part(id)}>
                    {names.get(model) ?? model}
                    {serial ? `, ${serial}` : ''}
                  </Link>
                </span>
                <span className="quiet">
                  {origin === 'new' ? 'new' : <strong>▲ {origin}</strong>}, {condition}
                  {batch ? `, batch ${batch}` : ''}, {owner ? `of ${owner}` : 'the shop’s'}
                  {onQuad ? `, on ${onQuad}` : ''}
                </span>
              </li>
            ))}
            {parts.data?.length === 0 && <li>None is called like that.</li>}
          </Lines>
        </section>
        <section>
          <h2>Enter a part</h2>
          <PartForm />
        </section>
      </Columns>
    </Sheet>
  );
}

function PartForm() {
  const index = useModelIndex();
  const [model, setModel] = useState<{ id: string; name: string; revision: number } | null>(null);
  const [typed, setTyped] = useState('');
  const [owner, setOwner] = useState<{ id: string; name: string } | null>(null);
  const [ownerTyped, setOwnerTyped] = useState('');
  const [noNumber, setNoNumber] = useState(false);
  const customersFound = (useCustomers(ownerTyped.trim()).data ?? []).slice(0, 4);
  const send = useSend<object>(() => '/parts', [keys.parts()]);
  const errors = fieldErrors(send.error);
  const matches = typed.trim() ? findModels(findable(index.data ?? []), typed, false).slice(0, 5) : [];
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const data = new FormData(form);
    const text = (name: string) => String(data.get(name) ?? '').trim() || null;
    if (!model) return;
    const weightG = text('weight') === null ? null : typedNumber(text('weight'));
    setNoNumber(Number.isNaN(weightG));
    if (Number.isNaN(weightG)) return;
    const part = {
      id: newId(),
      model: model.id,
      revision: model.revision,
      serial: text('serial'),
      batch: text('batch'),
      owner: owner?.id ?? null,
      origin: text('origin'),
      condition: text('condition'),
      firmware: text('firmware'),
      weightG,
    };
    send.mutate(part, { onSuccess: () => form.reset() });
  };
  return (
    <Stack onSubmit={submit} noValidate>
      {model ? (
        <Words>
          <strong>{model.name}</strong>{' '}
          <Small type="button" onClick={() => setModel(null)}>
            another
          </Small>
        </Words>
      ) : (
        <Find
          label="Part model"
          listLabel="Part models found"
          items={matches.map(({ id, name, kind }) => ({ id, name, note: kind }))}
          typed={typed}
          onType={setTyped}
          onTake={(id) => setModel(matches.find((match) => match.id === id)!)}
          empty="Type its first letters."
        />
      )}
      <Beside>
        <WordsField name="serial" label="Serial" />
        <WordsField name="batch" label="Batch" />
        <WordsField name="firmware" label="Firmware" />
        <NumberTextField
          name="weight"
          label="Weight, g"
          error={noNumber ? 'a weight is a number' : errors.of('weightG')}
        />
      </Beside>
      <ChoiceField
        name="origin"
        label="It is"
        options={[
          { value: 'new', label: 'new' },
          { value: 'used', label: 'used' },
        ]}
      />
      <ChoiceField
        name="condition"
        label="Condition"
        options={[
          { value: 'untested', label: 'untested' },
          { value: 'tested', label: 'tested' },
          { value: 'doubtful', label: 'doubtful' },
        ]}
      />
      {owner ? (
        <Words>
          It belongs to <strong>{owner.name}</strong>{' '}
          <Small type="button" onClick={() => setOwner(null)}>
            no, the shop’s
          </Small>
        </Words>
      ) : (
        <Find
          label="Whose it is; empty: the shop’s"
          listLabel="Customers found"
          items={ownerTyped.trim() ? customersFound : []}
          typed={ownerTyped}
          onType={setOwnerTyped}
          onTake={(id) => setOwner(customersFound.find((customer) => customer.id === id)!)}
          empty="Type its first letters."
        />
      )}
      <FormProblem message={errors.rest(['weightG'])} />
      <SubmitButton>{model ? 'Put it in the stores' : 'Choose its model first'}</SubmitButton>
    </Stack>
  );
}
