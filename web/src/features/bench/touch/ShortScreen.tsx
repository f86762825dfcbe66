/** A short between plus and minus: the one red field of the whole program, and one answer. */
import { useRef, useState } from 'react';
import styled from 'styled-components';
import { AnswerRow } from '../../../ui/Answers';
import { useFocusStart } from '../../../ui/useFocusStart';
import type { StopProps } from './StopScreen';
import { StopScreen } from './StopScreen';

const Field = styled.main`
  position: fixed;
  inset: 0;
  background: ${({ theme }) => theme.danger};
  color: ${({ theme }) => theme.onDanger};
  display: grid;
  place-content: center;
  gap: 26px;
  padding: 60px;
  h1,
  p {
    font-size: 62px;
    line-height: 1.15;
    font-weight: 700;
  }
  div > div {
    padding: 0;
  }
  button[data-main] {
    max-width: 420px;
    background: ${({ theme }) => theme.onDanger};
    color: ${({ theme }) => theme.danger};
    border-color: ${({ theme }) => theme.onDanger};
    font-size: 34px;
  }
`;

export function ShortScreen(props: StopProps) {
  const [seen, setSeen] = useState(false);
  return seen ? <StopScreen {...props} /> : <ShortField onFind={() => setSeen(true)} />;
}

/** Wherever it was read. */
export function ShortField({ onFind }: { onFind: () => void }) {
  const page = useRef<HTMLElement>(null);
  useFocusStart(page);
  return (
    <Field role="alert" ref={page}>
      <title>Short between + and −. No battery · Junctor</title>
      <h1>Short between + and −.</h1>
      <p>No battery.</p>
      <p>Find it first.</p>
      <div>
        <AnswerRow answers={[{ key: 'Enter', label: 'Find it', main: true, act: onFind }]} />
      </div>
    </Field>
  );
}
