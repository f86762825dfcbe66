/** The head line: where one is, who is at the tablet, whether everything is stored. */
import { useState } from 'react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useOutbox } from '../api/outbox';
import { useSession, useSignOut } from '../api/session';

const Line = styled.header`
  height: 44px;
  display: flex;
  align-items: center;
  gap: 18px;
  padding: 0 24px;
  font-size: 17px;
  white-space: nowrap;
  a {
    font-weight: 700;
    text-decoration: underline;
  }
  & > :nth-child(2) {
    font-weight: 700;
  }
`;
const Right = styled.div`
  margin-left: auto;
  display: flex;
  gap: 14px;
  align-items: center;
  color: ${({ theme }) => theme.quiet};
  button {
    background: none;
    border: 0;
    padding: 4px;
    text-decoration: underline;
    cursor: pointer;
    color: inherit;
  }
`;

export function Head({ title, children }: { title: ReactNode; children?: ReactNode }) {
  const person = useSession().data;
  const signOut = useSignOut();
  return (
    <Line>
      <Link to="/">Floor</Link>
      <span>{title}</span>
      {children}
      <Right>
        <SaveState />
        {person && (
          <span>
            {person.name}, {person.role}
          </span>
        )}
        {person && (
          <button type="button" onClick={() => signOut.mutate()}>
            Sign out
          </button>
        )}
      </Right>
    </Line>
  );
}

/** Saved, saving, or kept here until the network is back: always visible. */
function SaveState() {
  const { waiting, trouble, savedAt } = useOutbox();
  const [opened] = useState(() => Date.now());
  if (trouble && waiting > 0)
    return (
      <strong role="status">
        kept here: {waiting}, {trouble}
      </strong>
    );
  if (waiting > 0) return <span role="status">saving {waiting}</span>;
  return (
    <span role="status">
      {savedAt && savedAt > opened ? `saved ${new Date(savedAt).toLocaleTimeString('en-GB')}` : 'saved'}
    </span>
  );
}
