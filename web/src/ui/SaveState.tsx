/**
 * Saved, saving, or kept here and why: always visible. What the server refused is said until somebody has looked at it.
 */
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { places } from '../addresses';
import type { OutboxState } from '../api/outbox';
import { useOutbox } from '../api/outbox';
import { clockWords } from './when';

const Alarm = styled(Link)`
  color: ${({ theme }) => theme.ink};
`;

export function SaveState() {
  const box = useOutbox();
  const [opened] = useState(() => Date.now());
  const alarm = alarmOf(box);
  return (
    <>
      {alarm && (
        <span role="alert">
          <Alarm to={places.kept}>▲ {alarm}</Alarm>
        </span>
      )}
      <span role="status">{stateWords(box, opened)}</span>
    </>
  );
}

/** What needs a person. */
function alarmOf({ refused, damaged, unkept, aside }: OutboxState): string | null {
  if (refused.length > 0) return `${recordsIn(refused)} not stored: ${refused.at(-1)!.message}`;
  if (unkept.size > 0) return 'this tablet’s storage is full: keep this page open until it is saved';
  if (damaged.length > 0) return `${damaged.length} kept here cannot be read`;
  return aside.size > 0 ? `the server fails on ${aside.size} kept here` : null;
}

function stateWords({ waiting, trouble, savedAt }: OutboxState, opened: number): string {
  if (trouble && waiting > 0) return `kept here: ${waiting}, ${trouble}`;
  if (waiting > 0) return `saving ${waiting}`;
  return savedAt && savedAt > opened ? `saved ${clockWords(savedAt)}` : 'saved';
}

function recordsIn(refused: OutboxState['refused']): string {
  const count = refused.reduce((sum, { records }) => sum + records.length, 0);
  return count === 1 ? '1 record' : `${count} records`;
}
