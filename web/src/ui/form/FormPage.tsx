/**
 * A form as a page: one question as its title, fields, what the server said against it. What is typed survives a
 * reload.
 */
import type { FormEvent, ReactNode } from 'react';
import styled from 'styled-components';
import { Alarm } from '../layout';
import { narrow } from '../theme';
import { FormDraft, useFormDraft } from './FormDraft';

const Page = styled.main`
  form {
    max-width: 760px;
    padding: 8px 24px 40px;
    display: grid;
    gap: 18px;
  }
  &[data-wide='true'] form {
    max-width: none;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 14px 28px;
    align-items: start;
  }
  &[data-wide='true'] form > [role='alert'],
  &[data-wide='true'] form > button[type='submit'] {
    grid-column: 1 / -1;
  }
  @media ${narrow} {
    &[data-wide='true'] form {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  h1 {
    font-size: 34px;
    font-weight: 400;
    padding: 10px 24px 4px;
  }
`;

interface FormPageProps {
  title: string;
  head: ReactNode;
  onSubmit: (event: FormEvent<HTMLFormElement>) => void;
  /** Two fields beside each other. */
  wide?: boolean;
  children: ReactNode;
}

export function FormPage({ title, head, onSubmit, wide = false, children }: FormPageProps) {
  const draft = useFormDraft();
  const submit = (event: FormEvent<HTMLFormElement>) => {
    draft.forget();
    onSubmit(event);
  };
  return (
    <Page data-wide={wide}>
      <title>{`${title} · Junctor`}</title>
      {head}
      <h1>{title}</h1>
      <form onSubmit={submit} onInput={draft.keep} noValidate>
        <FormDraft value={draft.typed}>{children}</FormDraft>
      </form>
    </Page>
  );
}

const Submit = styled.button`
  justify-self: start;
  padding: 14px 26px;
  font-size: 21px;
  font-weight: 700;
  border-radius: 8px;
  border: 2px solid ${({ theme }) => theme.ink};
  background: ${({ theme }) => theme.ink};
  color: ${({ theme }) => theme.paper};
  cursor: pointer;
`;

export function SubmitButton({ children }: { children: ReactNode }) {
  return <Submit type="submit">{children}</Submit>;
}

/** What the server said against a whole form. */
export function FormProblem({ message }: { message: string | null }) {
  return message ? <Alarm>{message}</Alarm> : null;
}
