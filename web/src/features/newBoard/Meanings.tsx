/** What each label means: sure ones stand, competing ones are asked one by one, by key. */
import type { BoardDraft, Drafted, Meaning } from '@junctor/core';
import { capital, meaningWords, readLabels } from '@junctor/core';
import { useEffect, useState } from 'react';
import type { FormEvent } from 'react';
import styled from 'styled-components';
import type { Answer } from '../../ui/Answers';
import { Fields, FormProblem, SubmitButton, WordsField } from '../../ui/form';
import { KeyCap, Plate } from '../../ui/Plate';
import { useKeys } from '../../ui/useKeys';
import { Words } from '../../ui/layout';

const Choices = styled.ul`
  display: grid;
  gap: 8px;
  padding: 10px 0;
  button {
    display: flex;
    gap: 12px;
    align-items: center;
    width: 100%;
    padding: 10px 14px;
    font-size: 20px;
    font-weight: 700;
    border: 2px solid ${({ theme }) => theme.ink};
    border-radius: 8px;
    background: ${({ theme }) => theme.paper};
    cursor: pointer;
    text-align: left;
  }
  .sure {
    margin-left: auto;
    font-weight: 400;
    color: ${({ theme }) => theme.quiet};
  }
`;
const List = styled.ol`
  columns: 2;
  column-gap: 24px;
  font-size: 17px;
  padding-top: 10px;
  li {
    break-inside: avoid;
    padding: 3px 0;
  }
  .as {
    color: ${({ theme }) => theme.quiet};
  }
`;

interface MeaningsProps {
  draft: BoardDraft;
  drafted: Drafted;
  onRing: (pad: number | null) => void;
  onChange: (some: Partial<BoardDraft>) => void;
  onDone: () => void;
}

export function Meanings({ draft, drafted, onRing, onChange, onDone }: MeaningsProps) {
  const [typing, setTyping] = useState(false);
  const asked = drafted.pads.find((pad) => pad.open) ?? null;
  const at = asked?.index ?? null;
  useEffect(() => onRing(at), [at, onRing]);
  const say = (meaning: Meaning | null) => {
    setTyping(false);
    if (asked) onChange({ answers: { ...draft.answers, [asked.index]: meaning } });
  };
  const offers = asked?.reading.meanings.slice(0, 6) ?? [];
  const keysOf = () => {
    if (asked && !typing)
      return [
        ...offers.map(({ meaning }, index): Answer => ({
          key: String(index + 1),
          label: meaningWords(meaning),
          act: () => say(meaning),
        })),
        { key: '7', label: 'Something else', act: () => setTyping(true) },
        { key: '0', label: 'Nobody knows', act: () => say(null) },
      ];
    if (asked) return [{ key: 'Escape', label: 'Back', act: () => setTyping(false) }];
    return [
      { key: 'Enter', label: 'On to the first measurement', act: onDone },
      { key: '4', label: 'Ask all again', act: () => onChange({ answers: {} }) },
    ];
  };
  const keys: Answer[] = keysOf();
  useKeys(keys);
  const left = drafted.pads.filter((pad) => pad.open).length;
  return (
    <>
      {asked ? (
        <>
          <Words $large data-testid="question" aria-live="polite">
            Pad {asked.index + 1}, printed <Plate>{asked.printed}</Plate>, {neighbours(drafted, asked.index)}: what is
            it? <small>{left} to say</small>
          </Words>
          {asked.reading.why && <small>{capital(asked.reading.why)}</small>}
          {typing ? (
            <Other draft={draft} onSay={say} />
          ) : (
            <Choices>
              {keys.map(({ key, label, act }, index) => (
                <li key={key}>
                  <button type="button" onClick={act}>
                    <KeyCap>{key}</KeyCap>
                    {label}
                    {offers[index] && <span className="sure">{Math.round(offers[index].confidence * 100)} %</span>}
                    {key === '0' && <span className="sure">its readings are for the record only</span>}
                  </button>
                </li>
              ))}
            </Choices>
          )}
        </>
      ) : (
        <Choices>
          {keys.map(({ key, label, act }) => (
            <li key={key}>
              <button type="button" onClick={act}>
                <KeyCap>{key}</KeyCap>
                {label}
              </button>
            </li>
          ))}
        </Choices>
      )}
      <List aria-label="Labels and meanings">
        {drafted.pads.map(({ index, printed, meaning, open, terminal }) => {
          const meaningNowOf = () => {
            if (open) return '? to be said';
            if (meaning) return meaningWords(meaning);
            return 'nobody knows: record only';
          };
          return (
            <li key={index}>
              <strong>{printed}</strong> {meaningNowOf()}
              {terminal !== printed && <span className="as"> as {terminal}</span>}
            </li>
          );
        })}
      </List>
    </>
  );
}

function neighbours({ pads }: Drafted, index: number): string {
  const near = [pads[index - 1]?.printed, pads[index + 1]?.printed].filter(Boolean);
  if (near.length === 2) return `between ${near[0]} and ${near[1]}`;
  if (near.length === 1) return `beside ${near[0]}`;
  return 'alone';
}

/** Said as a label that has one meaning only. */
function Other({ draft, onSay }: { draft: BoardDraft; onSay: (meaning: Meaning) => void }) {
  const [problem, setProblem] = useState<string | null>(null);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = String(new FormData(event.currentTarget).get('label'));
    const [reading] = readLabels(draft.kind, [typed, 'TX1', 'RX1', 'VBAT', '5V']);
    if (reading?.sure) onSay(reading.sure);
    else
      setProblem(
        `“${typed}” can be ${reading?.meanings.map(({ meaning }) => meaningWords(meaning)).join(' or ') || 'anything'}: say it plainer, as TX3, VBAT, GND, 5V, LED, BOOT`,
      );
  };
  return (
    <Fields onSubmit={submit} noValidate>
      <WordsField name="label" label="As a label with one meaning: TX3, VBAT, GND, 5V, LED, BOOT" autoFocus />
      <FormProblem message={problem} />
      <SubmitButton>That is it</SubmitButton>
    </Fields>
  );
}
