/** A page that has only one thing to say: loading, an error, nothing there yet; with a way on. */
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { places } from '../addresses';
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
  nav {
    padding: 18px 24px;
    display: flex;
    gap: 26px;
    font-size: 20px;
    font-weight: 700;
  }
`;

interface NoticeProps {
  title: string;
  children?: ReactNode;
  /** Nothing more comes by itself: the ways on are shown. */
  end?: boolean;
}

export function Notice({ title, children, end = false }: NoticeProps) {
  return (
    <Page>
      <title>{`${title} · Junctor`}</title>
      <Head title="" />
      <h1 tabIndex={-1}>{title}</h1>
      <p role={end ? 'alert' : 'status'}>{children}</p>
      {end && (
        <nav aria-label="Ways on">
          <Link to={places.floor}>Floor</Link>
          <Link to={places.quads}>Quad books</Link>
          <Link to={places.stores}>Stores</Link>
        </nav>
      )}
    </Page>
  );
}
