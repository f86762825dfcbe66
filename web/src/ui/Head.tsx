/** The head line: where one is, who is at the tablet, whether everything is stored, light or dim. */
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { places } from '../addresses';
import { useSession, useSignOut } from '../api/session';
import { SaveState } from './SaveState';
import { useChosenTheme } from './Themed';

const Line = styled.header`
  min-height: 44px;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 18px;
  padding: 2px 24px;
  font-size: 17px;
  white-space: nowrap;
  a {
    font-weight: 700;
    text-decoration: underline;
  }
  & > :nth-child(2) {
    font-weight: 700;
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }
`;
const Right = styled.div`
  a {
    font-weight: 400;
  }
  margin-left: auto;
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
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
  const { choice, next } = useChosenTheme();
  return (
    <Line>
      <Link to={places.floor}>Floor</Link>
      <span>{title}</span>
      {children}
      <Right>
        <SaveState />
        {person && (
          <Link className="quiet" to={places.password(person.personId)} title="Your password">
            {person.name}, {person.role}
          </Link>
        )}
        <button type="button" onClick={next}>
          screen: {choice}
        </button>
        {person && (
          <button type="button" onClick={() => signOut.mutate()}>
            Sign out
          </button>
        )}
      </Right>
    </Line>
  );
}
