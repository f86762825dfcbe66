/** Found as one types: the first match is marked, Enter takes it, arrows walk to another. */
import type { FocusEvent, KeyboardEvent, ReactNode } from 'react';
import { Autocomplete, Input, Label, ListBox, ListBoxItem, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { fieldCss } from './form';

export interface FoundItem {
  id: string;
  name: string;
  note?: string;
}

interface FindProps {
  label: string;
  /** What the list is of: "Known customers". */
  listLabel: string;
  items: readonly FoundItem[];
  typed: string;
  onType: (typed: string) => void;
  onTake: (id: string) => void;
  /** Said when nothing is found. */
  empty: ReactNode;
  autoFocus?: boolean;
}

const Field = styled(TextField)`
  ${fieldCss}
`;
export const FoundList = styled(ListBox<FoundItem>)`
  display: grid;
  gap: 4px;
  padding: 6px 0;
  outline: none;
  font-size: 19px;
  [role='option'] {
    padding: 7px 12px;
    border: 2px solid ${({ theme }) => theme.edge};
    border-radius: 6px;
    background: ${({ theme }) => theme.paper};
    cursor: pointer;
    outline: none;
  }
  [role='option'][data-focused] {
    border-color: ${({ theme }) => theme.bronze};
    font-weight: 700;
  }
  [role='option'][data-focused]::before {
    content: '► ';
  }
  small {
    font-size: 17px;
    font-weight: 400;
    color: ${({ theme }) => theme.quiet};
  }
`;

export function Find({ label, listLabel, items, typed, onType, onTake, empty, autoFocus = false }: FindProps) {
  return (
    <Autocomplete inputValue={typed} onInputChange={onType}>
      <div onKeyDownCapture={leaveByEscape} onFocusCapture={stayLeft}>
        <Field autoFocus={autoFocus} autoComplete="off">
          <Label>{label}</Label>
          <Input />
        </Field>
        <FoundList
          aria-label={listLabel}
          items={items}
          onAction={(id) => onTake(String(id))}
          renderEmptyState={() => empty}
        >
          {foundOption}
        </FoundList>
      </div>
    </Autocomplete>
  );
}

/** Esc leaves the field at once, marked or not; the keys of the page are next. */
function leaveByEscape(event: KeyboardEvent<HTMLDivElement>): void {
  if (event.key !== 'Escape') return;
  event.stopPropagation();
  (event.target as HTMLElement).blur();
}

/** A match that is marked late, after Esc, draws the focus into the field: it goes back at once. */
function stayLeft(event: FocusEvent<HTMLDivElement>): void {
  const active = document.activeElement;
  if (event.isTrusted || !(active instanceof HTMLElement) || event.currentTarget.contains(active)) return;
  queueMicrotask(() => {
    if (active === document.body) (document.activeElement as HTMLElement).blur();
    else active.focus();
  });
}

export function foundOption({ id, name, note }: FoundItem) {
  return (
    <ListBoxItem id={id} textValue={name}>
      {name} {note && <small>{note}</small>}
    </ListBoxItem>
  );
}
