/** What cannot be drawn says so in its own panel; the rest of the page stays, and so does what was typed there. */
import { capital } from '@junctor/core';
import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import styled from 'styled-components';
import { Small } from './Small';

interface PanelBoundaryProps {
  /** What the panel shows: "the left hand". */
  what: string;
  /** When one of these changes, the panel is tried again. */
  resetKeys?: readonly unknown[];
  children: ReactNode;
}

const Failed = styled.div`
  padding: 14px 0;
  display: grid;
  gap: 12px;
  font-size: 18px;
  line-height: 1.35;
`;

export function PanelBoundary({ what, resetKeys = [], children }: PanelBoundaryProps) {
  return (
    <ErrorBoundary
      resetKeys={[...resetKeys]}
      fallbackRender={({ error, resetErrorBoundary }) => (
        <Failed role="alert">
          <strong>▲ {capital(what)} cannot be drawn</strong>
          <span>{messageOf(error)}</span>
          <span>Everything else works: go on by the sentence and the keys. Nothing that you recorded is touched.</span>
          <Small type="button" onClick={() => resetErrorBoundary()}>
            Draw it again
          </Small>
        </Failed>
      )}
    >
      {children}
    </ErrorBoundary>
  );
}

function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
