/** Name, motors, plates, lid and stack of a frame, as the caliper shows them. */
import type { FrameDraft } from '@junctor/core';
import { motorPatterns } from '@junctor/core';
import type { FormEvent } from 'react';
import { useState } from 'react';
import { ChoiceField, Fields, FormProblem, NumberTextField, SubmitButton, WordsField } from '../../ui/form';
import { numbersIn } from './numbers';

const asked = [
  { name: 'massG', label: 'Mass, g', least: 1, most: 20000 },
  { name: 'acrossMm', label: 'Motors apart across, mm', least: 30, most: 3000 },
  { name: 'alongMm', label: 'Motors apart along, mm', least: 30, most: 3000 },
  { name: 'propellerMm', label: 'Propeller, mm', least: 20, most: 1000 },
  { name: 'wideMm', label: 'Body wide, mm', least: 10, most: 1000 },
  { name: 'longMm', label: 'Body long, mm', least: 10, most: 1000 },
  { name: 'bottomMm', label: 'Lowest plate, mm thick', least: 0.5, most: 20 },
  { name: 'armsMm', label: 'Arms, mm thick; 0: in the plate', least: 0, most: 40 },
  { name: 'overMm', label: 'Plate to lid, mm; 0: open', least: 0, most: 200 },
  { name: 'thickMm', label: 'Lid, mm thick', least: 0, most: 20 },
  { name: 'settlesMm', label: 'Lid goes down by, mm', least: 0, most: 10 },
  { name: 'aheadMm', label: 'Stack ahead of the middle, mm', least: -500, most: 500 },
  { name: 'screwMm', label: 'Stack screws, mm long', least: 4, most: 100 },
] as const;
const rows = [asked.slice(0, 4), asked.slice(4, 8), asked.slice(8, 11), asked.slice(11)];
const patterns = ['30.5', '25.5', '20'].map((value) => ({ value, label: `${value} mm` }));

export function FrameSizeForm({ draft, onDone }: { draft: FrameDraft; onDone: (some: Partial<FrameDraft>) => void }) {
  const [problem, setProblem] = useState<string | null>(null);
  const now: Readonly<Record<(typeof asked)[number]['name'], number>> = {
    ...draft,
    overMm: draft.lid?.overMm ?? 0,
    thickMm: draft.lid?.thickMm ?? 2,
    settlesMm: draft.lid?.settlesMm ?? 0.8,
    aheadMm: draft.stack.aheadMm,
    screwMm: draft.stack.screwMm,
  };
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const [name, maker] = [data.get('name'), data.get('maker')].map((value) => String(value).trim()) as [
      string,
      string,
    ];
    const read = numbersIn(data, asked);
    if (!name || !maker || read.problem) return setProblem(read.problem ?? 'Name and maker are wanted');
    const { overMm, thickMm, settlesMm, aheadMm, screwMm, ...sizes } = read.numbers;
    if (overMm > 0 && thickMm <= 0) return setProblem('Lid, mm thick: a lid has a thickness');
    onDone({
      name,
      maker,
      ...sizes,
      motors: String(data.get('motors')) as FrameDraft['motors'],
      conducts: data.get('conducts') === 'yes',
      pack: String(data.get('pack')) as FrameDraft['pack'],
      lid: overMm > 0 ? { overMm, thickMm, settlesMm } : null,
      stack: { patternMm: Number(data.get('holes')), aheadMm, screwMm },
    });
  };
  return (
    <Fields onSubmit={submit} noValidate>
      <div className="row">
        <WordsField name="name" label="What it is called" defaultValue={draft.name} autoFocus />
        <WordsField name="maker" label="Maker" defaultValue={draft.maker} />
      </div>
      <div className="pair">
        <ChoiceField name="motors" label="Motors" options={first(draft.motors, motorPatterns)} />
        <ChoiceField
          name="conducts"
          label="Of carbon or metal"
          options={first(draft.conducts ? 'yes' : 'no', ['yes', 'no'])}
        />
        <ChoiceField name="pack" label="The pack lies" options={first(draft.pack, ['on top', 'underneath'])} />
        <ChoiceField
          name="holes"
          label="Stack holes apart"
          options={[...patterns].sort((a, b) => Number(isNow(b, draft)) - Number(isNow(a, draft)))}
        />
      </div>
      {rows.map((row) => (
        <div className="row four" key={row[0]!.name}>
          {row.map(({ name, label }) => (
            <NumberTextField key={name} name={name} label={label} defaultValue={String(now[name])} />
          ))}
        </div>
      ))}
      <FormProblem message={problem} />
      <SubmitButton>On to its places</SubmitButton>
    </Fields>
  );
}

const isNow = ({ value }: { value: string }, { stack }: FrameDraft) => Number(value) === stack.patternMm;

/** What is chosen stands first. */
function first(chosen: string, all: readonly string[]) {
  return [chosen, ...all.filter((one) => one !== chosen)].map((value) => ({ value, label: value }));
}
