/** Signs of life with what has become of each: seconds, words, seen or not. */
import type { ExpectedSign } from '@junctor/core';
import { signId, signWords } from '@junctor/core';
import styled from 'styled-components';
import { Box } from '../../../bench/hands/Checklist';

const List = styled.ol`
  padding-top: 8px;
  font-size: 18px;
  li {
    display: grid;
    grid-template-columns: 22px 26px 58px 1fr;
    align-items: center;
    padding: 2px 0;
  }
  li[data-now='true'] {
    font-weight: 700;
  }
  small {
    font-size: 16px;
    color: ${({ theme }) => theme.quiet};
  }
`;

/** `at`: the place that is asked for, one behind the last for the end; null while nothing is asked. */
export function SignList({
  signs,
  seen,
  at,
}: {
  signs: readonly ExpectedSign[];
  seen: ReadonlySet<string>;
  at: number | null;
}) {
  return (
    <List aria-label="Signs">
      {signs.map((sign, place) => {
        const shown = seen.has(signId(sign));
        return (
          <li key={signId(sign)} data-now={place === at}>
            <span aria-hidden>{place === at ? '►' : ''}</span>
            <Box done={shown} />
            <small>{sign.sign.afterS} s</small>
            <span>
              {signWords(sign, signs)}
              {shown ? ', seen' : ''}
            </span>
          </li>
        );
      })}
    </List>
  );
}
