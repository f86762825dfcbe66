/** A page outside the bench: one question as its title, ruled lines, doors to what is near. */
import { useRef } from 'react';
import type { ReactNode } from 'react';
import { places } from '../addresses';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Head } from './Head';
import { KeyCap } from './Plate';
import { narrow } from './theme';
import { useFocusStart } from './useFocusStart';
import { useKeys } from './useKeys';
import type { Answer } from './Answers';

const Page = styled.main`
  padding-bottom: 40px;
  h1 {
    font-size: 34px;
    font-weight: 400;
    padding: 8px 24px 2px;
  }
  & > p {
    padding: 0 24px 6px;
    font-size: 19px;
    color: ${({ theme }) => theme.quiet};
    max-width: 1180px;
  }
  h2 {
    font-size: 23px;
    padding: 18px 0 6px;
  }
  section {
    padding: 0 24px;
    min-width: 0;
  }
  @media print {
    header,
    nav {
      display: none;
    }
    h1 {
      font-size: 19pt;
    }
    & > p {
      font-size: 10pt;
    }
    h2 {
      font-size: 12pt;
      padding: 10pt 0 2pt;
      break-after: avoid;
    }
  }
`;
const Doors = styled.nav`
  padding: 4px 24px 12px;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  font-size: 18px;
  a,
  button {
    display: flex;
    gap: 8px;
    align-items: center;
    font-weight: 700;
    text-decoration: none;
    background: none;
    border: 0;
    padding: 4px 0;
    cursor: pointer;
    color: inherit;
  }
`;
/** Ruled lines; `$columns` is how a line is divided where there is room. */
export const Lines = styled.ul<{ $columns?: string }>`
  font-size: 18px;
  li {
    padding: 6px 0;
    border-bottom: 1px solid ${({ theme }) => theme.edge};
    display: grid;
    gap: 4px 16px;
    align-items: baseline;
    grid-template-columns: ${({ $columns = 'minmax(0, 1fr)' }) => $columns};
  }
  @media ${narrow} {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  li > span {
    min-width: 0;
  }
  .quiet {
    color: ${({ theme }) => theme.quiet};
  }
  @media print {
    font-size: 10pt;
    li {
      padding: 1.5pt 0;
      break-inside: avoid;
    }
  }
`;
export const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 0 28px;
  padding: 0 24px;
  @media ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
  & > section {
    padding: 0;
  }
  @media print {
    display: block;
  }
`;
export interface Door {
  key: string;
  label: string;
  to?: string;
  act?: () => void;
}

interface SheetProps {
  place: string;
  title: string;
  note?: ReactNode;
  doors?: readonly Door[];
  go: (to: string) => void;
  children: ReactNode;
}

export function Sheet({ place, title, note, doors = [], go, children }: SheetProps) {
  const page = useRef<HTMLElement>(null);
  useFocusStart(page);
  const keys: Answer[] = [
    ...doors.map(({ key, label, to, act }): Answer => ({ key, label, act: act ?? (() => go(to!)) })),
    { key: 'Escape', label: 'Leave the field', act: () => (document.activeElement as HTMLElement | null)?.blur() },
    { key: 'Home', label: 'Floor', act: () => go(places.floor) },
  ];
  useKeys(keys);
  return (
    <Page ref={page}>
      <title>{`${title} · Junctor`}</title>
      <Head title={place} />
      <h1 tabIndex={-1}>{title}</h1>
      {note && <p>{note}</p>}
      {doors.length > 0 && (
        <Doors aria-label="Near here">
          {doors.map(({ key, label, to, act }) =>
            to ? (
              <Link key={key} to={to}>
                <KeyCap>{key.length === 1 ? key.toUpperCase() : key}</KeyCap>
                {label}
              </Link>
            ) : (
              <button key={key} type="button" onClick={act}>
                <KeyCap>{key.length === 1 ? key.toUpperCase() : key}</KeyCap>
                {label}
              </button>
            ),
          )}
        </Doors>
      )}
      {children}
    </Page>
  );
}
