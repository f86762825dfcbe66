/** Openings of a frame: windows for USB and card, holes for aerials, lens and leads. */
import type { DraftOpening } from '@junctor/core';
import { draftSides, openingPasses } from '@junctor/core';
import type { FormEvent } from 'react';
import { useState } from 'react';
import { ChoiceField, Fields, FormProblem, NumberTextField, SubmitButton, WordsField } from '../../ui/form';
import { Entered } from './Entered';
import { numbersIn } from './numbers';
import type { ListedProps } from './PlacesForm';

/** What each side's figures are, as its form asks. */
const labels: Readonly<Record<DraftOpening['side'], readonly [string, string, string, string]>> = {
  left: ['Middle ahead, mm', 'Over the plate, mm', 'Wide, mm', 'High, mm'],
  right: ['Middle ahead, mm', 'Over the plate, mm', 'Wide, mm', 'High, mm'],
  front: ['Middle to the right, mm', 'Over the plate, mm', 'Wide, mm', 'High, mm'],
  rear: ['Middle to the right, mm', 'Over the plate, mm', 'Wide, mm', 'High, mm'],
  above: ['Middle to the right, mm', 'Middle ahead, mm', 'Across, mm', 'Along, mm'],
  below: ['Middle to the right, mm', 'Middle ahead, mm', 'Across, mm', 'Along, mm'],
};

function askedOf(side: DraftOpening['side']) {
  const [along, up, wide, high] = labels[side];
  return [
    { name: 'along', label: along, least: -500, most: 500 },
    { name: 'up', label: up, least: -500, most: 500 },
    { name: 'wide', label: wide, least: 1, most: 500 },
    { name: 'high', label: high, least: 1, most: 500 },
  ] as const;
}

export function OpeningsForm({ draft, onChange, onDone }: ListedProps) {
  const [problem, setProblem] = useState<string | null>(null);
  const [side, setSide] = useState<DraftOpening['side']>('left');
  const { openings } = draft;
  const asked = askedOf(side);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const name = String(data.get('name')).trim();
    if (!name) return onDone();
    if (openings.some((one) => one.name === name)) return setProblem(`There is a ${name} already`);
    const { numbers, problem: wrong } = numbersIn(data, asked);
    if (wrong) return setProblem(wrong);
    setProblem(null);
    const opening: DraftOpening = {
      name,
      passes: String(data.get('passes')) as DraftOpening['passes'],
      side,
      atMm: [numbers.along, numbers.up],
      sizeMm: [numbers.wide, numbers.high],
    };
    onChange({ openings: [...openings, opening] });
  };
  return (
    <>
      <Entered
        label="Openings"
        lines={openings.map(({ name, passes: lets, side: looks, sizeMm }) => ({
          name,
          says: `${looks}, ${sizeMm.join(' x ')} mm, lets ${lets} through`,
        }))}
        takeOut={(name) => onChange({ openings: openings.filter((one) => one.name !== name) })}
      />
      <Fields key={openings.length} onSubmit={submit} noValidate>
        <WordsField name="name" label="Name of the opening; empty: no more" autoFocus />
        <div className="pair">
          <ChoiceField
            name="passes"
            label="It lets through"
            options={openingPasses.map((value) => ({ value, label: value }))}
          />
          <ChoiceField
            name="side"
            label="It looks"
            options={draftSides.map((value) => ({ value, label: value }))}
            value={side}
            onChange={(to) => setSide(to as DraftOpening['side'])}
          />
        </div>
        <div className="row four">
          {asked.map(({ name, label }) => (
            <NumberTextField key={name} name={name} label={label} />
          ))}
        </div>
        <FormProblem message={problem} />
        <SubmitButton>Add the opening</SubmitButton>
      </Fields>
    </>
  );
}
