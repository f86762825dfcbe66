/** The tag of a terminal: ink with paper text, wherever one is named. */
import styled from 'styled-components';

export const Plate = styled.span`
  display: inline-block;
  padding: 0 0.32em;
  border-radius: 4px;
  font-weight: 700;
  white-space: nowrap;
  line-height: 1.28;
  background: ${({ theme }) => theme.ink};
  color: ${({ theme }) => theme.paper};
`;

export const KeyCap = styled.kbd`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-width: 28px;
  height: 28px;
  padding: 0 5px;
  border: 1.5px solid currentColor;
  border-radius: 6px;
  font: 700 16px ${({ theme }) => theme.sans};
`;
