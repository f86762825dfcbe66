/** Places of a frame: bays, decks, cheeks, spots on the lid. */
import type { DraftPlace, FrameDraft, PartKind } from '@junctor/core';
import { draftPlaceKinds, partKinds } from '@junctor/core';
import type { FormEvent } from 'react';
import { useState } from 'react';
import { ChoiceField, Fields, FormProblem, NumberTextField, SubmitButton, WordsField } from '../../ui/form';
import { Entered } from './Entered';
import { numbersIn } from './numbers';

const asked = [
  { name: 'aside', label: 'To the right, mm', least: -500, most: 500 },
  { name: 'ahead', label: 'Ahead, mm', least: -500, most: 500 },
  { name: 'up', label: 'Up from the plate, mm', least: -200, most: 200 },
  { name: 'wide', label: 'Room across, mm', least: 2, most: 500 },
  { name: 'long', label: 'Room along, mm', least: 2, most: 500 },
  { name: 'high', label: 'Room up, mm', least: 2, most: 300 },
] as const;
const anything = 'anything that goes in';
const held: readonly PartKind[] = [
  'battery lead',
  'video unit',
  'camera',
  'receiver',
  'positioning',
  'lights',
  'buzzer',
];
const kinds = draftPlaceKinds.map((value) => ({ value, label: kindWords(value) }));
const uses = [anything, ...held, ...partKinds.filter((kind) => !held.includes(kind) && kind !== 'frame')];
const patterns = ['no holes', '20 mm', '25.5 mm', '30.5 mm'].map((value) => ({ value, label: value }));

export function PlacesForm({ draft, onChange, onDone }: ListedProps) {
  const [problem, setProblem] = useState<string | null>(null);
  const { places } = draft;
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const name = String(data.get('name')).trim();
    if (!name) return places.length > 0 ? onDone() : setProblem('A name is wanted: what it is called at the bench');
    if (places.some((one) => one.name === name) || name === 'stack') return setProblem(`There is a ${name} already`);
    const { numbers, problem: wrong } = numbersIn(data, asked);
    const kind = String(data.get('kind')) as DraftPlace['kind'];
    if (wrong) return setProblem(wrong);
    if (kind === 'lid' && !draft.lid) return setProblem('This frame has no lid to put anything on');
    const use = String(data.get('use'));
    const patternMm = Number.parseFloat(String(data.get('holes')));
    setProblem(null);
    onChange({
      places: [
        ...places,
        {
          name,
          kind,
          atMm: [numbers.aside, numbers.ahead, numbers.up],
          roomMm: [numbers.wide, numbers.long, numbers.high],
          patternMm: Number.isFinite(patternMm) ? patternMm : null,
          madeFor: use === anything ? null : (use as PartKind),
        },
      ],
    });
  };
  return (
    <>
      <Entered
        label="Places"
        lines={places.map(({ name, kind, roomMm, madeFor }) => ({
          name,
          says: `${kindWords(kind)}, ${roomMm.join(' x ')} mm${madeFor ? `; made for: ${madeFor}` : ''}`,
        }))}
        takeOut={(name) => onChange({ places: places.filter((one) => one.name !== name) })}
      />
      <Fields key={places.length} onSubmit={submit} noValidate>
        <WordsField name="name" label="Name of the place; empty: no more" autoFocus />
        <div className="pair">
          <ChoiceField name="kind" label="It is" options={kinds} />
          <ChoiceField name="holes" label="Holes" options={patterns} />
        </div>
        <div className="row">
          {asked.map(({ name, label }) => (
            <NumberTextField
              key={name}
              name={name}
              label={label}
              defaultValue={name === 'aside' || name === 'up' ? '0' : ''}
            />
          ))}
        </div>
        <ChoiceField name="use" label="Made for" options={uses.map((value) => ({ value, label: value }))} />
        <FormProblem message={problem} />
        <SubmitButton>Add the place</SubmitButton>
      </Fields>
    </>
  );
}

export interface ListedProps {
  draft: FrameDraft;
  onChange: (some: Partial<FrameDraft>) => void;
  onDone: () => void;
}

function kindWords(kind: DraftPlace['kind']): string {
  return { bay: 'a bay', surface: 'a deck', cheeks: 'between cheeks', lid: 'on the lid' }[kind];
}
