/** Asks once before something that cannot be undone. Focus is on the way back. */
import type { ReactNode } from 'react';
import { Button, Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';

interface AskProps {
  title: string;
  /** What happens, on its button. */
  yes: string;
  no: string;
  onYes: () => void;
  onClose: () => void;
  children: ReactNode;
}

const Over = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  display: grid;
  place-items: center;
  padding: 24px;
`;
const Sheet = styled(Modal)`
  width: min(620px, 100%);
  padding: 22px 26px;
  background: ${({ theme }) => theme.paper};
  border: 3px solid ${({ theme }) => theme.ink};
  border-radius: 8px;
  font-size: 19px;
  h2 {
    font-size: 25px;
    font-weight: 400;
    padding-bottom: 8px;
  }
  [role='alertdialog'] {
    outline: none;
    display: grid;
    gap: 14px;
  }
  .answers {
    display: flex;
    flex-wrap: wrap;
    gap: 12px;
  }
  button {
    padding: 14px 20px;
    font-size: 20px;
    font-weight: 700;
    border: 2px solid ${({ theme }) => theme.ink};
    border-radius: 8px;
    background: ${({ theme }) => theme.paper};
    cursor: pointer;
  }
`;

export function Ask({ title, yes, no, onYes, onClose, children }: AskProps) {
  const answer = () => {
    onYes();
    onClose();
  };
  return (
    <Over isOpen onOpenChange={(isOpen) => !isOpen && onClose()}>
      <Sheet>
        <Dialog role="alertdialog">
          <Heading slot="title" level={2}>
            {title}
          </Heading>
          <p>{children}</p>
          <div className="answers">
            <Button autoFocus onPress={onClose}>
              {no}
            </Button>
            <Button onPress={answer}>{yes}</Button>
          </div>
        </Dialog>
      </Sheet>
    </Over>
  );
}
