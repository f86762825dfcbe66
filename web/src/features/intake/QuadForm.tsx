/** Which quad of the customer's: known, or new in the shop. */
import type { FormEvent, ReactNode } from 'react';
import { newId } from '../../api/device';
import { keys } from '../../api/keys';
import { useQuads, useSend } from '../../api/queries';
import { fieldErrors } from '../../ui/fieldErrors';
import { FormPage, FormProblem, SubmitButton, WordsField } from '../../ui/form';
import { Found } from '../../ui/Found';

interface QuadFormProps {
  head: ReactNode;
  customer: { id: string; name: string };
  onDone: (quad: { id: string; name: string }) => void;
}

export function QuadForm({ head, customer, onDone }: QuadFormProps) {
  const quads = useQuads('');
  const own = (quads.data ?? []).filter(({ customerId }) => customerId === customer.id);
  const send = useSend<{ id: string; customerId: string; name: string }, { id: string; name: string }>(
    () => '/quads',
    [keys.quads()],
  );
  const errors = fieldErrors(send.error);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const name = String(new FormData(event.currentTarget).get('name')).trim();
    send.mutate({ id: newId(), customerId: customer.id, name }, { onSuccess: onDone });
  };
  return (
    <FormPage title={`Which quad of ${customer.name}?`} head={head} onSubmit={submit}>
      <Found
        label="Known quads"
        items={own.map(({ id, name, openJobId }) => ({ id, name, note: openJobId ? 'has an open job' : '' }))}
        onTake={onDone}
      />
      <WordsField name="name" label="What it is called" autoFocus error={errors.of('name')} />
      <FormProblem message={errors.rest(['name'])} />
      <SubmitButton>Take as new quad</SubmitButton>
    </FormPage>
  );
}
