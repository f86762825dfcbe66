/** Rows of pads along the edges: labels typed or pasted in order, at one pitch. */
import type { BoardDraft, Edge, PadRow } from '@junctor/core';
import { splitLabels } from '@junctor/core';
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
import { Lines } from '../../ui/Sheet';
import { KeyButton } from '../../ui/KeyButton';
import { Small } from '../../ui/Small';

const edges = [
  { value: 'bottom', label: 'lower edge' },
  { value: 'top', label: 'upper edge' },
  { value: 'left', label: 'left edge' },
  { value: 'right', label: 'right edge' },
];
const edgeWords: Readonly<Record<Edge, string>> = {
  top: 'upper edge',
  bottom: 'lower edge',
  left: 'left edge',
  right: 'right edge',
};

export function Rows({
  draft,
  onChange,
  onDone,
}: {
  draft: BoardDraft;
  onChange: (some: Partial<BoardDraft>) => void;
  onDone: () => void;
}) {
  const [problem, setProblem] = useState<string | null>(null);
  const [added, setAdded] = useState(0);
  const takeOut = (index: number) => onChange({ rows: draft.rows.filter((_, at) => at !== index), answers: {} });
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const labels = splitLabels(String(data.get('labels')));
    if (labels.length === 0)
      return draft.rows.length > 0 ? onDone() : setProblem('Type the labels in order, with spaces between');
    const pitchMm = typedNumber(data.get('pitch'));
    if (!(pitchMm > 0.3 && pitchMm < 30)) return setProblem('The pitch is between 0.3 and 30 mm');
    const first = String(data.get('first')).trim();
    if (first !== '' && !Number.isFinite(typedNumber(first)))
      return setProblem('The place of the first pad is a number in mm, or stays empty');
    const edge = String(data.get('edge')) as Edge;
    const plug = String(data.get('plug')) === 'plug';
    const span = edge === 'top' || edge === 'bottom' ? draft.widthMm : draft.heightMm;
    if (first === '' && (labels.length - 1) * pitchMm > span - 1)
      return setProblem(
        `${labels.length} pads at ${pitchMm} mm are ${((labels.length - 1) * pitchMm).toFixed(1)} mm long; the edge has ${span} mm`,
      );
    const row: PadRow = {
      edge,
      side: String(data.get('side')) === 'bottom' ? 'bottom' : 'top',
      pitchMm,
      firstMm: first === '' ? null : typedNumber(first),
      padMm: plug ? [pitchMm * 0.56, 1.4] : [Math.min(pitchMm * 0.55, 4), Math.min(pitchMm * 0.85, 4)],
      connector: plug ? freeConnector(draft) : null,
      labels,
    };
    setProblem(null);
    setAdded(added + 1);
    // Answers belong to pads by number: a row more changes none of the earlier ones.
    onChange({ rows: [...draft.rows, row] });
  };
  return (
    <>
      <Lines $columns="130px 1fr 110px" aria-label="Rows">
        {draft.rows.map((row, index) => (
          <li key={index}>
            <span>
              {row.connector ? `plug ${row.connector}, ` : ''}
              {edgeWords[row.edge]}
              {row.side === 'bottom' ? ', below' : ''}
            </span>
            <span>
              {row.labels.join(' ')} <span className="quiet">{row.pitchMm} mm</span>
            </span>
            {index === draft.rows.length - 1 ? (
              <KeyButton keyed="t" label="Take out" act={() => takeOut(index)} />
            ) : (
              <Small type="button" onClick={() => takeOut(index)}>
                Take out
              </Small>
            )}
          </li>
        ))}
      </Lines>
      <Fields key={added} onSubmit={submit} noValidate>
        <WordsField name="labels" label="Labels in order, left to right or top to bottom; empty: no more" autoFocus />
        <ChoiceField name="edge" label="Along the" options={edges} />
        <div className="row">
          <NumberTextField name="pitch" label="Pitch, mm" defaultValue={String(draft.rows.at(-1)?.pitchMm ?? 2.3)} />
          <NumberTextField name="first" label="First pad at, mm; or centred" />
        </div>
        <div className="pair">
          <ChoiceField
            name="plug"
            label="They are"
            options={[
              { value: 'pads', label: 'pads' },
              { value: 'plug', label: 'pins of a plug' },
            ]}
          />
          <ChoiceField
            name="side"
            label="On the"
            options={[
              { value: 'top', label: 'top side' },
              { value: 'bottom', label: 'underside' },
            ]}
          />
        </div>
        <FormProblem message={problem} />
        <SubmitButton>Add the row</SubmitButton>
      </Fields>
    </>
  );
}

function freeConnector({ rows }: BoardDraft): string {
  return `J${rows.filter(({ connector }) => connector).length + 1}`;
}
