/** A few choices stand side by side, many drop down. */
import {
  Button,
  FieldError,
  Label,
  ListBox,
  ListBoxItem,
  Popover,
  Radio,
  RadioGroup,
  Select,
  SelectValue,
} from 'react-aria-components';
import styled from 'styled-components';
import { fieldCss } from './fieldCss';

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
    color: ${({ theme }) => theme.ink};
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
  /** So many stand side by side; more drop down. */
  few?: number;
}

/** A few choices stand side by side, many drop down. The first is chosen until another is. */
export function ChoiceField({ name, label, options, error, value, onChange, few = 4 }: ChoiceProps) {
  const chosen = value === undefined ? { defaultValue: options[0]?.value ?? '' } : { value };
  if (options.length <= few) {
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
