/** The tag of a terminal: ink with paper text, wherever one is named; and a key as it is printed on its cap. */
import styled, { css } from 'styled-components';

export const plateCss = css`
  display: inline-block;
  padding: 0 0.32em;
  border-radius: 4px;
  font-weight: 700;
  white-space: nowrap;
  line-height: 1.28;
  background: ${({ theme }) => theme.ink};
  color: ${({ theme }) => theme.paper};
`;

export const Plate = styled.span`
  ${plateCss}
`;

export const KeyCap = styled.kbd`
  flex: none;
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
