/** The keys of this screen, over the screen. */
import styled from 'styled-components';
import type { Answer } from '../../ui/Answers';
import { KeyCap } from '../../ui/Plate';

const Sheet = styled.aside`
  position: fixed;
  inset: 140px 24px auto auto;
  width: 420px;
  padding: 18px 22px;
  background: ${({ theme }) => theme.paper};
  border: 2px solid ${({ theme }) => theme.ink};
  border-radius: 6px;
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 8px 14px;
    margin-top: 10px;
    align-items: center;
  }
`;

export function KeysHelp({ answers }: { answers: readonly Answer[] }) {
  return (
    <Sheet aria-label="Keys of this screen">
      <strong>Keys of this screen</strong>
      <dl>
        {answers.map(({ key, label, also }) => (
          <div key={key} style={{ display: 'contents' }}>
            <dt>
              <KeyCap>{key}</KeyCap>{' '}
              {also?.map((item) => (
                <KeyCap key={item}>{item.toUpperCase()}</KeyCap>
              ))}
            </dt>
            <dd>{label}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
