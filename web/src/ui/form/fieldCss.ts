import { css } from 'styled-components';

/** A label over its field, the mistake under it. */
export const fieldCss = css`
  display: grid;
  gap: 4px;
  min-width: 0;
  label,
  .react-aria-Label {
    font-size: 18px;
    font-weight: 700;
  }
  input {
    width: 100%;
    min-width: 0;
    padding: 10px 12px;
    font-size: 20px;
    border: 2px solid ${({ theme }) => theme.ink};
    border-radius: 6px;
    background: ${({ theme }) => theme.paper};
  }
  [slot='errorMessage'] {
    font-weight: 700;
  }
  [slot='description'] {
    font-size: 17px;
    color: ${({ theme }) => theme.quiet};
  }
`;
