/** Form pieces: a label, a field, and the mistake beside it. */
import { parseQuantity } from '@junctor/core';
import type { FormEvent, ReactNode } from 'react';
import {
  Button,
  FieldError,
  Input,
  Label,
  ListBox,
  ListBoxItem,
  Popover,
  Radio,
  RadioGroup,
  Select,
  SelectValue,
  TextField,
} from 'react-aria-components';
import styled from 'styled-components';

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
  return (
    <Page data-wide={wide}>
      {head}
      <h1>{title}</h1>
      <form onSubmit={onSubmit} noValidate>
        {children}
      </form>
    </Page>
  );
}

const fieldCss = `
  display: grid; gap: 4px;
  label, .react-aria-Label { font-size: 18px; font-weight: 700; }
`;
const Field = styled(TextField)`
  ${fieldCss} min-width: 0;
  input {
    width: 100%;
    min-width: 0;
    padding: 10px 12px;
    font-size: 20px;
    border: 2px solid ${({ theme }) => theme.ink};
    border-radius: 6px;
    background: ${({ theme }) => theme.paper};
  }
  [slot='errorMessage'] {
    font-weight: 700;
  }
`;

interface WordsProps {
  name: string;
  label: string;
  error?: string | null;
  defaultValue?: string;
  type?: 'text' | 'password' | 'date';
  autoFocus?: boolean;
  inputMode?: 'numeric' | 'decimal';
  autoComplete?: string;
}

export function WordsField({ name, label, error, inputMode, ...rest }: WordsProps) {
  return (
    <Field name={name} isInvalid={Boolean(error)} {...rest}>
      <Label>{label}</Label>
      <Input {...(inputMode ? { inputMode } : {})} />
      {error && <FieldError>▲ {error}</FieldError>}
    </Field>
  );
}

/** A typed number, with point or comma, k, M or m; NaN when it is none, 0 when nothing was typed. */
export function typedNumber(text: FormDataEntryValue | null): number {
  const typed = String(text ?? '').trim();
  return typed === '' ? 0 : (parseQuantity(typed) ?? NaN);
}

export function NumberTextField(props: Omit<WordsProps, 'type' | 'inputMode'>) {
  return <WordsField {...props} inputMode="decimal" />;
}

const Radios = styled(RadioGroup)`
  ${fieldCss}
  .options {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  .react-aria-Radio {
    display: flex;
    align-items: center;
    gap: 10px;
    padding: 9px 14px;
    border: 2px solid ${({ theme }) => theme.ink};
    border-radius: 6px;
    cursor: pointer;
    font-weight: 400;
    background: ${({ theme }) => theme.paper};
    &::before {
      content: '';
      width: 14px;
      height: 14px;
      border-radius: 50%;
      border: 2px solid ${({ theme }) => theme.ink};
    }
    &[data-selected]::before {
      background: ${({ theme }) => theme.ink};
      box-shadow: inset 0 0 0 2px ${({ theme }) => theme.paper};
    }
    &[data-selected] {
      font-weight: 700;
    }
    &[data-focus-visible] {
      outline: 3px solid ${({ theme }) => theme.bronze};
      outline-offset: 2px;
    }
  }
`;
const Drop = styled(Select)`
  ${fieldCss}
  button {
    text-align: left;
    padding: 10px 12px;
    font-size: 20px;
    border: 2px solid ${({ theme }) => theme.ink};
    border-radius: 6px;
    background: ${({ theme }) => theme.paper};
  }
  button::after {
    content: '▾';
    float: right;
  }
`;
const DropList = styled(Popover)`
  background: ${({ theme }) => theme.paper};
  border: 2px solid ${({ theme }) => theme.ink};
  border-radius: 6px;
  max-height: 340px;
  overflow: auto;
  min-width: var(--trigger-width);
  .react-aria-ListBoxItem {
    padding: 8px 12px;
    font-size: 19px;
    outline: none;
  }
  .react-aria-ListBoxItem[data-focused] {
    background: ${({ theme }) => theme.ink};
    color: ${({ theme }) => theme.paper};
  }
`;

interface ChoiceProps {
  name: string;
  label: string;
  options: readonly { value: string; label: string }[];
  error?: string | null;
  /** What is chosen now; without it the field keeps that itself, from the first on. */
  value?: string;
  onChange?: (value: string) => void;
}

/** A few choices stand side by side, many drop down. The first is chosen until another is. */
export function ChoiceField({ name, label, options, error, value, onChange }: ChoiceProps) {
  const chosen = value === undefined ? { defaultValue: options[0]?.value ?? '' } : { value };
  if (options.length <= 4) {
    return (
      <Radios name={name} {...chosen} isInvalid={Boolean(error)} {...(onChange ? { onChange } : {})}>
        <Label>{label}</Label>
        <div className="options">
          {options.map((option) => (
            <Radio key={option.value} value={option.value}>
              {option.label}
            </Radio>
          ))}
        </div>
        {error && <FieldError>▲ {error}</FieldError>}
      </Radios>
    );
  }
  return (
    <Drop name={name} {...chosen} isInvalid={Boolean(error)} onChange={(next) => onChange?.(String(next))}>
      <Label>{label}</Label>
      <Button>
        <SelectValue />
      </Button>
      {error && <FieldError>▲ {error}</FieldError>}
      <DropList>
        <ListBox items={options.map((option) => ({ id: option.value, label: option.label }))}>
          {(item) => <ListBoxItem id={item.id}>{item.label}</ListBoxItem>}
        </ListBox>
      </DropList>
    </Drop>
  );
}

/** A file from the person's disk. Choosing the same file again, mended meanwhile, counts as choosing. */
export function FileField({ label, accept, onFile }: { label: string; accept: string; onFile: (file: File) => void }) {
  return (
    <FileLabel>
      {label}
      <input
        type="file"
        accept={accept}
        onChange={({ target }) => {
          const file = target.files?.[0];
          if (file) onFile(file);
          target.value = '';
        }}
      />
    </FileLabel>
  );
}

const FileLabel = styled.label`
  display: grid;
  gap: 4px;
  font-weight: 700;
  font-size: 18px;
  input {
    font-weight: 400;
  }
`;

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
  return message ? (
    <p role="alert" style={{ fontWeight: 700 }}>
      ▲ {message}
    </p>
  ) : null;
}
