/** The keys of this screen, over the screen. */
import { useEffect } from 'react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import type { Answer } from './Answers';
import { keyName } from './Answers';
import { KeyCap } from './Plate';

const Over = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  display: flex;
  justify-content: flex-end;
  align-items: flex-start;
  padding: 140px 24px 0;
`;
const Sheet = styled(Modal)`
  width: min(460px, 100%);
  max-height: calc(100vh - 170px);
  overflow: auto;
  padding: 18px 22px;
  background: ${({ theme }) => theme.paper};
  border: 2px solid ${({ theme }) => theme.ink};
  border-radius: 6px;
  h2 {
    font-size: 20px;
  }
  [role='dialog'] {
    outline: none;
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 8px 14px;
    margin-top: 10px;
    align-items: center;
  }
  dl > div {
    display: contents;
  }
`;

interface KeysHelpProps {
  answers: readonly Answer[];
  open: boolean;
  onClose: () => void;
}

export function KeysHelp({ answers, open, onClose }: KeysHelpProps) {
  // The key that opened it closes it, wherever the focus is in it.
  useEffect(() => {
    if (!open) return undefined;
    const onKey = ({ key }: KeyboardEvent) => key === '?' && onClose();
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  });
  return (
    <Over isOpen={open} onOpenChange={(isOpen) => !isOpen && onClose()} isDismissable>
      <Sheet>
        <Dialog>
          <Heading slot="title" level={2}>
            Keys of this screen
          </Heading>
          <dl>
            {answers.map(({ key, label, also }) => (
              <div key={key}>
                <dt>
                  <KeyCap>{keyName(key)}</KeyCap>{' '}
                  {also?.map((item) => (
                    <KeyCap key={item}>{keyName(item)}</KeyCap>
                  ))}
                </dt>
                <dd>{label}</dd>
              </div>
            ))}
          </dl>
        </Dialog>
      </Sheet>
    </Over>
  );
}
