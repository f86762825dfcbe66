/**
 * What has been typed into a form and not been sent: kept for this address, until it is sent. Never a password. A form
 * is filled in all the same where the browser keeps nothing.
 */
import type { FormEvent } from 'react';
import { createContext, useContext, useMemo, useRef } from 'react';
import { useLocation } from 'react-router';
import { quietly } from '../../quietly';

type Typed = Readonly<Record<string, string>>;

const FormDraftContext = createContext<Typed>({});
export const FormDraft = FormDraftContext;

/** What was typed into the field before, or undefined. */
export function useTypedBefore(name: string): string | undefined {
  return useContext(FormDraftContext)[name];
}

interface FormDraftKeeper {
  typed: Typed;
  keep: (event: FormEvent<HTMLFormElement>) => void;
  forget: () => void;
}

export function useFormDraft(): FormDraftKeeper {
  const { pathname } = useLocation();
  const key = `junctor.form.${pathname}`;
  const first = useMemo(() => kept(key), [key]);
  const now = useRef<Typed>(first);
  return {
    typed: first,
    keep: ({ target }) => {
      const field = target as HTMLInputElement;
      if (!field.name || field.type === 'password' || field.type === 'file') return;
      now.current = { ...now.current, [field.name]: field.value };
      quietly(() => sessionStorage.setItem(key, JSON.stringify(now.current)));
    },
    forget: () => {
      now.current = {};
      quietly(() => sessionStorage.removeItem(key));
    },
  };
}

function kept(key: string): Typed {
  try {
    return (JSON.parse(sessionStorage.getItem(key) ?? '{}') ?? {}) as Typed;
  } catch {
    return {};
  }
}
