/** Fields one below the other; a row or a pair of them side by side. */
import styled from 'styled-components';

export const Fields = styled.form`
  display: grid;
  gap: 12px;
  padding-top: 12px;
  .row {
    display: grid;
    grid-template-columns: 1fr 1fr 1fr;
    gap: 12px;
  }
  .row.four {
    grid-template-columns: repeat(4, 1fr);
    align-items: end;
  }
  .pair {
    display: flex;
    gap: 12px 28px;
    flex-wrap: wrap;
  }
`;
