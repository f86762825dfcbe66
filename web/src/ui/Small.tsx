/** A button beside something, smaller than an answer. */
import styled from 'styled-components';

export const Small = styled.button`
  padding: 7px 14px;
  font-size: 18px;
  font-weight: 700;
  border: 2px solid ${({ theme }) => theme.ink};
  border-radius: 6px;
  background: ${({ theme }) => theme.paper};
  color: ${({ theme }) => theme.ink};
  cursor: pointer;
  justify-self: start;
  &[aria-disabled='true'] {
    border-style: dashed;
    color: ${({ theme }) => theme.quiet};
    cursor: not-allowed;
  }
`;
