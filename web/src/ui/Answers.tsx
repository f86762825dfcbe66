/** The row of answers. Each button shows its key; the main answer says what it records. */
import styled from 'styled-components';
import { KeyCap } from './Plate';
import { useKeys } from './useKeys';

export interface Answer {
  /** As pressed: "Enter", "*", "7", "ArrowLeft". */
  key: string;
  /** Second names of the key. */
  also?: readonly string[];
  label: string;
  act: () => void;
  main?: boolean;
  /** Why it cannot be given now. */
  blocked?: string | null;
  /** Works by key but takes no room in the row. */
  hidden?: boolean;
}

const Row = styled.div`
  padding: 10px 24px 6px;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
`;
/** As wide as its longest word at least: no label leaves its button, a row that is full goes on in the next. */
const Button = styled.button`
  flex: 1 1 88px;
  min-width: min-content;
  min-height: 76px;
  padding: 4px 10px;
  cursor: pointer;
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 8px;
  border: 2px solid ${({ theme }) => theme.ink};
  border-radius: 8px;
  font-size: 20px;
  font-weight: 700;
  text-align: left;
  line-height: 1.1;
  background: ${({ theme }) => theme.paper};
  color: ${({ theme }) => theme.ink};
  ${Row}[data-many='true'] & {
    font-size: 18px;
    padding: 4px 6px;
    gap: 6px;
  }
  &[data-main] {
    flex: 2 1 220px;
    justify-content: flex-start;
    background: ${({ theme }) => theme.ink};
    color: ${({ theme }) => theme.paper};
  }
  ${Row}[data-many='true'] &[data-main] {
    flex: 1 1 170px;
  }
  &[aria-disabled='true'] {
    background: ${({ theme }) => theme.ground};
    color: ${({ theme }) => theme.quiet};
    border-style: dashed;
    cursor: not-allowed;
  }
  @media (max-width: 1100px) {
    min-height: 60px;
    font-size: 18px;
  }
`;

const names: Readonly<Record<string, string>> = {
  '-': '−',
  ArrowUp: '↑',
  ArrowDown: '↓',
  ArrowLeft: '←',
  ArrowRight: '→',
  Escape: 'Esc',
};

/** A key as it is printed on its cap. */
export function keyName(key: string): string {
  return names[key] ?? (key.length === 1 ? key.toUpperCase() : key);
}

/** More buttons than this are drawn closer. */
const roomy = 6;

export function AnswerRow({ answers }: { answers: readonly Answer[] }) {
  useKeys(answers);
  const shown = answers.filter(({ hidden }) => !hidden);
  return (
    <Row data-many={shown.length > roomy}>
      {shown.map((answer) => (
        <Button
          key={answer.key}
          type="button"
          {...(answer.main ? { 'data-main': true } : {})}
          aria-disabled={answer.blocked ? true : undefined}
          title={answer.blocked ?? undefined}
          aria-keyshortcuts={answer.key}
          onClick={() => !answer.blocked && answer.act()}
        >
          <KeyCap aria-hidden>{keyName(answer.key)}</KeyCap>
          <span>{answer.label}</span>
        </Button>
      ))}
    </Row>
  );
}
