/** A field for words, or for a number as people say it, which shows what it has understood. */
import { parseQuantity } from '@junctor/core';
import { useState } from 'react';
import { FieldError, Input, Label, Text, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { useTypedBefore } from './FormDraft';
import { fieldCss } from './fieldCss';

const Field = styled(TextField)`
  ${fieldCss}
`;

interface WordsProps {
  name: string;
  label: string;
  error?: string | null;
  defaultValue?: string;
  type?: 'text' | 'password';
  autoFocus?: boolean;
  inputMode?: 'numeric' | 'decimal';
  autoComplete?: string;
  onChange?: (typed: string) => void;
  /** What has been understood, where it is not plain. */
  understood?: string | null;
}

export function WordsField({ name, label, error, inputMode, understood, defaultValue, ...rest }: WordsProps) {
  const before = useTypedBefore(name) ?? defaultValue;
  return (
    <Field name={name} isInvalid={Boolean(error)} {...(before === undefined ? {} : { defaultValue: before })} {...rest}>
      <Label>{label}</Label>
      <Input {...(inputMode ? { inputMode } : {})} />
      {understood && <Text slot="description">{understood}</Text>}
      {error && <FieldError>▲ {error}</FieldError>}
    </Field>
  );
}

/** A typed number, with point or comma, k, M or m; NaN when it is none, 0 when nothing was typed. */
export function typedNumber(text: FormDataEntryValue | null): number {
  const typed = String(text ?? '').trim();
  return typed === '' ? 0 : (parseQuantity(typed) ?? NaN);
}

export function NumberTextField(props: Omit<WordsProps, 'type' | 'inputMode' | 'onChange' | 'understood'>) {
  const [typed, setTyped] = useState('');
  return <WordsField {...props} inputMode="decimal" onChange={setTyped} understood={understoodAs(typed)} />;
}

/** "that is 2200" for "2k2", nothing for "2200". */
function understoodAs(typed: string): string | null {
  const value = typedNumber(typed);
  if (typed.trim() === '' || String(value) === typed.trim()) return null;
  return Number.isNaN(value) ? 'that is no number' : `that is ${value}`;
}
