/** How things stand on a page outside the frame: under each other, beside each other, larger, louder. */
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { narrow } from './theme';

/** Fields under each other. */
export const Stack = styled.form`
  display: grid;
  gap: 12px;
`;

/** Two or three things beside each other, under each other where there is no room. */
export const Beside = styled.div<{ $columns?: number }>`
  display: grid;
  grid-template-columns: repeat(${({ $columns = 2 }) => $columns}, minmax(0, 1fr));
  gap: 12px;
  align-items: start;
  @media ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

export const Buttons = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  padding-top: 8px;
`;

/** Words to be read, not filled in. */
export const Words = styled.p<{ $large?: boolean }>`
  font-size: ${({ $large }) => ($large ? 22 : 19)}px;
  line-height: 1.35;
  padding: 4px 0;
  small {
    font-size: 18px;
  }
  @media print {
    font-size: 10pt;
  }
`;

/** The room of a drawing on a page. */
export const DrawingRoom = styled.div`
  height: 440px;
`;

const Loud = styled.p`
  font-weight: 700;
  font-size: 18px;
`;

/** Something is wrong, and what. */
export function Alarm({ children }: { children: ReactNode }) {
  return <Loud role="alert">▲ {children}</Loud>;
}
