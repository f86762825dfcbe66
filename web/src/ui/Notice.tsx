/** A page that has only one thing to say: loading, an error, nothing there yet. */
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { Head } from './Head';

const Page = styled.main`
  h1 {
    font-size: 34px;
    font-weight: 400;
    padding: 12px 24px;
  }
  p {
    padding: 0 24px;
    font-size: 20px;
    color: ${({ theme }) => theme.quiet};
  }
`;

export function Notice({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <Page>
      <Head title="" />
      <h1>{title}</h1>
      <p>{children}</p>
    </Page>
  );
}
