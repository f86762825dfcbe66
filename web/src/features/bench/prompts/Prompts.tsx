/** Questions one after the other, answered by key or by number; the answers become one record. */
import type { Range } from '@junctor/core';
import { numberWords, parseQuantity, prefixSlip } from '@junctor/core';
import { useState } from 'react';
import styled from 'styled-components';
import type { Answer } from '../../../ui/Answers';

interface Choice {
  value: string;
  label: string;
  /** The key that always means this answer; without one, choices are numbered from 1. */
  key?: string;
}

interface Asked<Id extends string> {
  id: Id;
  asks: string;
  hint: string;
}

export type ChoicePrompt<Id extends string> = Asked<Id> & { choices: readonly Choice[] };

export type NumberPrompt<Id extends string> = Asked<Id> & {
  unit: string;
  /** Beyond this nobody has ever seen it: it is asked again before it is taken. */
  possible: Range;
  /** What a typical one shows: a number a thousand times off is asked again, in words. */
  typical?: Range | undefined;
  /** What the meter may show in place of a number; answered with `open`. */
  open?: string;
  /** What speaks against a number: it is asked again with these words, then believed. */
  doubt?: (value: number) => string | null;
  /** Why the next question cannot be asked after this answer; null when it can. */
  objection?: (value: number) => string | null;
};

export type Prompt<Id extends string> = ChoicePrompt<Id> | NumberPrompt<Id>;

interface PromptState<Id extends string> {
  prompt: Prompt<Id>;
  index: number;
  given: Readonly<Partial<Record<Id, string>>>;
  /** A number is asked for, not a choice. */
  number: boolean;
  /** What has been typed so far, when a number is asked for. */
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
  const index = Math.min(Object.keys(given).length, prompts.length - 1);
  const prompt = prompts[index]!;
  const give = (value: string) => {
    const next = { ...given, [prompt.id]: value };
    if (Object.keys(next).length < prompts.length) {
      setGiven(next);
      return;
    }
    finish(next as Record<Id, string>);
    setGiven({});
  };
  const number = useTypedNumber(give);
  const answers: readonly Answer[] =
    'choices' in prompt
      ? prompt.choices.map(({ value, label, key }, at) => ({
          key: key ?? String(at + 1),
          label,
          act: () => give(value),
        }))
      : number.answersTo(prompt);
  return { prompt, index, given, number: 'unit' in prompt, typed: number.typed, problem: number.problem, answers };
}

const prefixes = ['k', 'M', 'm'] as const;
const longest = 10;

/** A number typed by single keys, with k, M or m behind it; `/` on a number pad walks through these. */
function useTypedNumber(give: (value: string) => void) {
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [doubted, setDoubted] = useState<number | null>(null);
  const edit = (next: (before: string) => string) => {
    setProblem(null);
    setTyped((before) => next(before).slice(0, longest));
  };
  const askAgain = (why: string, value: number | null) => {
    setProblem(why);
    setDoubted(value);
    setTyped('');
  };
  const enter = ({ unit, possible, typical, doubt, objection }: NumberPrompt<string>) => {
    const value = parseQuantity(typed, unit);
    if (value === null)
      return setProblem(
        typed
          ? `“${typed}” is no number in ${unit}: digits, a point, then k, M or m`
          : 'A number is wanted, then Enter',
      );
    const meant = typical && doubted !== value ? prefixSlip(value, typical) : null;
    if (meant !== null) {
      const [said, other] = [value, meant].map((one) => `${numberWords(one)}${unit}`);
      return askAgain(`${said}, not ${other}? If it is so, type it once more`, value);
    }
    if ((value < possible[0] || value > possible[1]) && doubted !== value) {
      return askAgain(`${value} ${unit} is far from anything possible here. If it is so, type it once more`, value);
    }
    const doubtful = doubted === value ? null : (doubt?.(value) ?? null);
    if (doubtful) return askAgain(`${doubtful} If it is so, type it once more`, value);
    const against = objection?.(value) ?? null;
    if (against) return askAgain(against, null);
    setTyped('');
    setProblem(null);
    setDoubted(null);
    give(String(value));
  };
  const answersTo = (prompt: NumberPrompt<string>): Answer[] => [
    // A prefix stands behind a number; before one its letters mean what they mean elsewhere.
    ...[...'0123456789.,-', ...(typed ? prefixes : [])].map((key): Answer => ({
      key,
      label: key,
      hidden: true,
      act: () => edit((before) => before + key),
    })),
    ...(prompt.open && !typed ? [{ key: 'o', label: prompt.open, act: () => give('open') }] : []),
    { key: '/', label: 'k, M, m', hidden: true, act: () => edit(nextPrefix) },
    { key: 'Backspace', label: 'Delete', hidden: true, act: () => edit((before) => before.slice(0, -1)) },
    {
      key: 'Enter',
      label: typed ? `${typed} ${prompt.unit}` : `… ${prompt.unit}`,
      main: true,
      act: () => enter(prompt),
    },
  ];
  return { typed, problem, answersTo };
}

/** "400" to "400k" to "400M" to "400m" to "400". */
function nextPrefix(typed: string): string {
  const at = prefixes.findIndex((prefix) => typed.endsWith(prefix));
  return (at < 0 ? typed : typed.slice(0, -1)) + (prefixes[at + 1] ?? '');
}

const Value = styled.output`
  display: block;
  font: 700 54px ${({ theme }) => theme.sans};
  border-bottom: 3px solid ${({ theme }) => theme.bronze};
  min-width: 240px;
  min-height: 76px;
  text-align: center;
`;
const Middle = styled.div`
  display: grid;
  place-items: center;
  align-content: center;
  gap: 18px;
  height: 80%;
  p {
    font-size: 18px;
    color: ${({ theme }) => theme.quiet};
  }
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
  const { unit } = state.prompt;
  const value = parseQuantity(state.typed, unit);
  const meant = /[kMm]/.test(state.typed) && value !== null ? `that is ${value} ${unit}` : null;
  return (
    <Middle>
      <Value aria-label={`${state.prompt.asks}, ${state.prompt.unit}`}>
        {state.typed || ' '} {state.prompt.unit}
      </Value>
      <p>{meant ?? 'k, M and m may follow the number; / walks through them'}</p>
    </Middle>
  );
}
