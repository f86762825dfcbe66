/** Whose quad it is: an existing customer by the first letters of the name, or a new one. */
import { useState } from 'react';
import type { FormEvent, ReactNode } from 'react';
import { newId } from '../../api/device';
import { keys } from '../../api/keys';
import { useCustomers, useSend } from '../../api/queries';
import type { Customer } from '../../api/types';
import { fieldErrors } from '../../ui/fieldErrors';
import { FormPage, FormProblem, SubmitButton, WordsField } from '../../ui/form';
import { Found } from '../../ui/Found';

interface CustomerFormProps {
  head: ReactNode;
  onDone: (customer: { id: string; name: string }) => void;
}

export function CustomerForm({ head, onDone }: CustomerFormProps) {
  const [typed, setTyped] = useState('');
  const found = useCustomers(typed.trim());
  const send = useSend<Customer, Customer>(() => '/customers', [keys.customers()]);
  const errors = fieldErrors(send.error);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    send.mutate(
      { id: newId(), name: String(data.get('name')).trim(), contact: String(data.get('contact')).trim() },
      { onSuccess: onDone },
    );
  };
  return (
    <FormPage title="Whose quad is it?" head={head} onSubmit={submit}>
      <div
        onInput={(event) =>
          setTyped(
            (event.target as HTMLInputElement).name === 'name' ? (event.target as HTMLInputElement).value : typed,
          )
        }
      >
        <WordsField name="name" label="Customer" autoFocus error={errors.of('name')} />
      </div>
      <Found
        label="Known customers"
        items={(found.data ?? []).map(({ id, name }) => ({ id, name, note: '' }))}
        onTake={onDone}
      />
      <WordsField name="contact" label="How to reach them" error={errors.of('contact')} />
      <FormProblem message={errors.rest(['name', 'contact'])} />
      <SubmitButton>Take as new customer</SubmitButton>
    </FormPage>
  );
}
