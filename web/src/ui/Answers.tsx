/** The row of answers. Each button shows its key; the main answer says what it records. */
import styled from 'styled-components';
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

const Button = styled.button<{ $main: boolean; $tight: boolean; $many: boolean }>`
  flex: ${({ $main, $tight }) => {
    if ($main) {
      if ($tight) return '1 1 190px';
      return '2 1 250px';
    }
    if ($tight) return '1 1 88px';
    return '1 1 90px';
  }};
  min-width: 0;
  height: 76px;
  padding: 0
    ${({ $tight, $many }) => {
      if ($many) return 4;
      if ($tight) return 6;
      return 12;
    }}px;
  cursor: pointer;
  display: flex;
  align-items: center;
  justify-content: ${({ $main }) => ($main ? 'flex-start' : 'center')};
  gap: ${({ $tight }) => ($tight ? 6 : 9)}px;
  border: 2px solid ${({ theme }) => theme.ink};
  border-radius: 8px;
  font-size: ${({ $tight, $many }) => {
    if ($many) return 17;
    if ($tight) return 18;
    return 20;
  }}px;
  font-weight: 700;
  text-align: left;
  line-height: 1.1;
  background: ${({ theme, $main }) => ($main ? theme.ink : theme.paper)};
  color: ${({ theme, $main }) => ($main ? theme.paper : theme.ink)};
  &[aria-disabled='true'] {
    background: ${({ theme }) => theme.ground};
    color: ${({ theme }) => theme.quiet};
    border-style: dashed;
    cursor: not-allowed;
  }
`;
const Cap = styled.kbd`
  flex: none;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-width: 30px;
  height: 30px;
  padding: 0 5px;
  border: 1.5px solid currentColor;
  border-radius: 6px;
  font: inherit;
  font-size: 17px;
`;

const caps: Readonly<Record<string, string>> = {
  '-': '−',
  ArrowUp: '↑',
  ArrowDown: '↓',
  ArrowLeft: '←',
  ArrowRight: '→',
  Escape: 'Esc',
};

export function AnswerRow({ answers }: { answers: readonly Answer[] }) {
  useKeys(answers);
  const shown = answers.filter(({ hidden }) => !hidden);
  const tight = shown.length > 6;
  const many = shown.length > 8;
  return (
    <>
      {shown.map((answer) => (
        <Button
          key={answer.key}
          type="button"
          $main={answer.main ?? false}
          $tight={tight}
          $many={many}
          aria-disabled={answer.blocked ? true : undefined}
          title={answer.blocked ?? undefined}
          aria-keyshortcuts={answer.key}
          onClick={() => !answer.blocked && answer.act()}
        >
          <Cap aria-hidden>{caps[answer.key] ?? answer.key}</Cap>
          <span>{answer.label}</span>
        </Button>
      ))}
    </>
  );
}
