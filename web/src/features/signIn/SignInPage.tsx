/** Sign in; or, in an empty shop, make its first lead. */
import type { FormEvent } from 'react';
import styled from 'styled-components';
import { newId } from '../../api/device';
import { useFirstLead, useShop, useSignIn } from '../../api/session';
import { fieldErrors } from '../../ui/fieldErrors';
import { FormPage, FormProblem, SubmitButton, WordsField } from '../../ui/form';

function fieldsOf(event: FormEvent<HTMLFormElement>): Record<string, string> {
  event.preventDefault();
  return Object.fromEntries([...new FormData(event.currentTarget)].map(([name, value]) => [name, String(value)]));
}

export function SignInPage() {
  const shop = useShop();
  if (shop.data?.empty) return <FirstLead />;
  return <SignIn shop={shop.data?.name ?? 'Junctor'} />;
}

function SignIn({ shop }: { shop: string }) {
  const signIn = useSignIn();
  const errors = fieldErrors(signIn.error);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    const { name = '', password = '' } = fieldsOf(event);
    signIn.mutate({ name, password });
  };
  return (
    <FormPage title={`${shop}: who is at the bench?`} head={<Mark />} onSubmit={submit}>
      <WordsField name="name" label="Name" autoFocus autoComplete="username" error={errors.of('name')} />
      <WordsField
        name="password"
        label="Password"
        type="password"
        autoComplete="current-password"
        error={errors.of('password')}
      />
      <FormProblem message={errors.rest(['name', 'password'])} />
      <SubmitButton>Sign in</SubmitButton>
    </FormPage>
  );
}

function FirstLead() {
  const make = useFirstLead();
  const errors = fieldErrors(make.error);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    const { shop = '', name = '', password = '' } = fieldsOf(event);
    make.mutate({ id: newId(), shop, name, password });
  };
  return (
    <FormPage title="An empty shop. Its first visitor is its first lead" head={<Mark />} onSubmit={submit}>
      <WordsField name="shop" label="Name of the shop" autoFocus error={errors.of('shop')} />
      <WordsField name="name" label="Your name" autoComplete="username" error={errors.of('name')} />
      <WordsField
        name="password"
        label="Password, eight characters or more"
        type="password"
        autoComplete="new-password"
        error={errors.of('password')}
      />
      <FormProblem message={errors.rest(['shop', 'name', 'password'])} />
      <SubmitButton>Open the shop</SubmitButton>
    </FormPage>
  );
}

const MarkLine = styled.header`
  padding: 18px 24px 0;
  display: flex;
  gap: 12px;
  align-items: center;
  font-size: 24px;
  font-weight: 700;
`;

function Mark() {
  return (
    <MarkLine>
      <img src="/mark.svg" alt="" width="40" height="40" />
      Junctor
    </MarkLine>
  );
}
