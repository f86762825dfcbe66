/** Outline by size and hole pattern, kind, maker, mass. */
import type { BoardDraft, PartKind } from '@junctor/core';
import { partKinds } from '@junctor/core';
import { useState } from 'react';
import type { FormEvent } from 'react';
import {
  ChoiceField,
  Fields,
  FormProblem,
  NumberTextField,
  SubmitButton,
  typedNumber,
  WordsField,
} from '../../ui/form';

const patterns = [
  { value: '30.5', label: '30.5 mm' },
  { value: '25.5', label: '25.5 mm' },
  { value: '20', label: '20 mm' },
  { value: '', label: 'no holes' },
];

export function SizeForm({ draft, onDone }: { draft: BoardDraft; onDone: (some: Partial<BoardDraft>) => void }) {
  const [problem, setProblem] = useState<string | null>(null);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const number = (name: string) => typedNumber(data.get(name));
    const numbers = ['widthMm', 'heightMm', 'massG', 'low', 'high'].map(number);
    const name = String(data.get('name')).trim();
    const maker = String(data.get('maker')).trim();
    if (!name || !maker) return setProblem('Name and maker are wanted');
    if (numbers.some((value) => !Number.isFinite(value) || value <= 0))
      return setProblem('Sizes, mass and volts are numbers above 0');
    if (numbers[3]! >= numbers[4]!) return setProblem('The lowest volts are below the highest');
    const pattern = String(data.get('holes'));
    onDone({
      name,
      maker,
      kind: String(data.get('kind')) as PartKind,
      widthMm: numbers[0]!,
      heightMm: numbers[1]!,
      massG: numbers[2]!,
      batteryV: [numbers[3]!, numbers[4]!],
      holesMm: pattern ? { patternMm: Number(pattern), drillMm: Number(pattern) > 22 ? 4 : 3 } : null,
    });
  };
  const kinds = [draft.kind, ...partKinds.filter((kind) => kind !== draft.kind)].map((value) => ({
    value,
    label: value,
  }));
  return (
    <Fields onSubmit={submit} noValidate>
      <WordsField name="name" label="What it is called" defaultValue={draft.name} autoFocus />
      <WordsField name="maker" label="Maker" defaultValue={draft.maker} />
      <ChoiceField name="kind" label="Kind" options={kinds} />
      <div className="row">
        <NumberTextField name="widthMm" label="Width, mm" defaultValue={String(draft.widthMm)} />
        <NumberTextField name="heightMm" label="Height, mm" defaultValue={String(draft.heightMm)} />
        <NumberTextField name="massG" label="Mass, g" defaultValue={String(draft.massG)} />
      </div>
      <ChoiceField name="holes" label="Mounting holes" options={patterns} />
      <div className="row">
        <NumberTextField name="low" label="Battery, lowest V" defaultValue={String(draft.batteryV[0])} />
        <NumberTextField name="high" label="Battery, highest V" defaultValue={String(draft.batteryV[1])} />
      </div>
      <FormProblem message={problem} />
      <SubmitButton>On to the pads</SubmitButton>
    </Fields>
  );
}
