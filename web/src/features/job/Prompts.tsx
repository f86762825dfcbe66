/** Questions one after the other, answered by key or by number; the answers become one record. */
import { useState } from 'react';
import styled from 'styled-components';
import type { Answer } from '../../ui/Answers';

export type Prompt<Id extends string> =
  | {
      id: Id;
      asks: string;
      hint: string;
      choices: readonly { value: string; label: string }[];
      /** Key of the first choice. */ from?: 0;
    }
  | { id: Id; asks: string; hint: string; unit: string };

export interface PromptState<Id extends string> {
  prompt: Prompt<Id>;
  index: number;
  given: Readonly<Partial<Record<Id, string>>>;
  /** The digits typed so far, when a number is asked for. */
  typed: string;
  problem: string | null;
  answers: readonly Answer[];
}

/** Runs through the prompts; `finish` gets all answers after the last one. */
export function usePrompts<Id extends string>(
  prompts: readonly Prompt<Id>[],
  finish: (given: Record<Id, string>) => void,
): PromptState<Id> {
  const [given, setGiven] = useState<Partial<Record<Id, string>>>({});
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const index = Math.min(Object.keys(given).length, prompts.length - 1);
  const prompt = prompts[index]!;
  const give = (value: string) => {
    const next = { ...given, [prompt.id]: value };
    setTyped('');
    setProblem(null);
    if (Object.keys(next).length === prompts.length) {
      finish(next as Record<Id, string>);
      setGiven({});
    } else setGiven(next);
  };
  const enter = () => {
    const value = Number(typed);
    if (typed === '' || Number.isNaN(value)) setProblem('A number is wanted, then Enter');
    else give(String(value));
  };
  const digits: Answer[] = [...'0123456789.-'].map((key) => ({
    key,
    label: key,
    hidden: true,
    act: () => {
      setProblem(null);
      setTyped((before) => (before + key).slice(0, 8));
    },
  }));
  const answers: Answer[] =
    'choices' in prompt
      ? prompt.choices.map(({ value, label }, at) => ({
          key: String(at + (prompt.from ?? 1)),
          label,
          act: () => give(value),
        }))
      : [
          ...digits,
          { key: 'Backspace', label: 'Delete', hidden: true, act: () => setTyped(typed.slice(0, -1)) },
          { key: 'Enter', label: typed ? `${typed} ${prompt.unit}` : `… ${prompt.unit}`, main: true, act: enter },
        ];
  return { prompt, index, given, typed, problem, answers };
}

const Value = styled.output`
  display: block;
  font: 700 54px ${({ theme }) => theme.sans};
  border-bottom: 3px solid ${({ theme }) => theme.bronze};
  min-width: 240px;
  min-height: 76px;
  text-align: center;
`;
const List = styled.ol`
  padding-top: 14px;
  display: grid;
  gap: 12px;
  font-size: 20px;
  li[data-now='true'] {
    font-weight: 700;
  }
`;

/** The questions with what has been answered. */
export function PromptList<Id extends string>({
  prompts,
  state,
}: {
  prompts: readonly Prompt<Id>[];
  state: PromptState<Id>;
}) {
  return (
    <List>
      {prompts.map((prompt, index) => (
        <li key={prompt.id} data-now={index === state.index}>
          {index + 1}. {prompt.asks}
          {state.given[prompt.id] !== undefined ? `: ${said(prompt, state.given[prompt.id]!)}` : ''}
        </li>
      ))}
    </List>
  );
}

function said<Id extends string>(prompt: Prompt<Id>, value: string): string {
  if ('unit' in prompt) return `${value} ${prompt.unit}`;
  return prompt.choices.find((choice) => choice.value === value)?.label ?? value;
}

/** The number being typed, large. */
export function Typed<Id extends string>({ state }: { state: PromptState<Id> }) {
  if (!('unit' in state.prompt)) return null;
  return (
    <div style={{ display: 'grid', placeItems: 'center', height: '80%' }}>
      <Value aria-label={`${state.prompt.asks}, ${state.prompt.unit}`}>
        {state.typed || ' '} {state.prompt.unit}
      </Value>
    </div>
  );
}
