/** Stock and offcuts: counted, moved, put back; in and out as CSV. */
import { CsvFaults } from '../../ui/CsvFaults';
import { places } from '../../addresses';
import type { StockLine } from '@junctor/core';
import { amountWords, offcutLine } from '@junctor/core';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { newId } from '../../api/device';
import { keys } from '../../api/keys';
import { useSend } from '../../api/queries';
import { useStock } from '../../api/stores';
import { saveFile } from '../../files/saveFile';
import {
  ChoiceField,
  FileField,
  FormProblem,
  NumberTextField,
  SubmitButton,
  typedNumber,
  WordsField,
} from '../../ui/form';
import type { DataColumn } from '../../ui/DataTable';
import { DataTable } from '../../ui/DataTable';
import { Columns, Sheet } from '../../ui/Sheet';
import type { CsvFault } from '../../files/csvRows';
import { readStock, writeStock } from '../../files/stockCsv';
import { Beside, Stack, Words } from '../../ui/layout';
import { matching } from '../../ui/matching';

const shownAtMost = 60;
const columns: readonly DataColumn<StockLine>[] = [
  {
    id: 'name',
    name: 'Name',
    by: ({ name }) => name,
    cell: ({ name, offcut }) => `${offcut ? '✂ ' : ''}${name}${offcut ? ', offcut' : ''}`,
  },
  {
    id: 'amount',
    name: 'On hand',
    by: ({ onHand }) => onHand,
    cell: ({ onHand, unit }) => (onHand <= 0 ? <strong>▲ none left</strong> : amountWords(onHand, unit)),
  },
  { id: 'place', name: 'Lies in', by: ({ place }) => place, cell: ({ place }) => place },
];

export function StockPage() {
  const navigate = useNavigate();
  const stock = useStock();
  const [typed, setTyped] = useState('');
  const [faults, setFaults] = useState<readonly CsvFault[]>([]);
  const [message, setMessage] = useState<string | null>(null);
  const counted = useSend<{ rows: readonly StockLine[] }>(() => '/stock/counted', [keys.stock]);
  // An offcut that was cut up is no line any more.
  const lines = (stock.data ?? []).filter(({ offcut, onHand }) => !offcut || onHand > 0);
  const isMeant = matching(typed);
  const found = lines.filter(({ name, key, place }) => isMeant(`${name} ${key} ${place}`));
  const take = async (file: File) => {
    setMessage(null);
    const read = readStock(await file.text(), newId);
    setFaults(read.ok ? [] : read.faults);
    if (read.ok)
      counted.mutate({ rows: read.rows }, { onSuccess: () => setMessage(`${read.rows.length} lines counted in`) });
  };
  return (
    <Sheet
      place="stores, stock"
      title="What lies in the drawers?"
      go={(to) => void navigate(to)}
      doors={[
        { key: 'l', label: 'Part models', to: places.stores },
        { key: 'p', label: 'Parts in hand', to: places.parts },
        { key: 'e', label: 'Write as CSV', act: () => saveFile('stock.csv', writeStock(lines), 'text/csv') },
      ]}
    >
      <Columns>
        <section>
          <WordsField name="q" label="Name, gauge, colour or place" autoFocus onChange={setTyped} />
          <h2>
            <span role="status">
              {found.length} lines{found.length > shownAtMost ? `, the first ${shownAtMost}` : ''}
            </span>
          </h2>
          <DataTable
            label="Stock"
            columns={columns}
            items={found.slice(0, shownAtMost)}
            idOf={({ id }) => id}
            empty="Nothing is called like that."
          />
        </section>
        <section>
          <h2>Count a file in</h2>
          <FileField label="Stock as CSV" accept=".csv,text/csv" onFile={(file) => void take(file)} />
          {message && <Words role="status">{message}</Words>}
          <CsvFaults label="Faults" refused="file" faults={faults} atMost={30} />
          <FormProblem message={counted.error?.message ?? null} />
          <h2>Put an offcut back</h2>
          <OffcutForm />
        </section>
      </Columns>
    </Sheet>
  );
}

function OffcutForm() {
  const send = useSend<StockLine>(() => '/stock', [keys.stock]);
  const [kind, setKind] = useState('wire');
  const [made, setMade] = useState(0);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (name: string) => String(data.get(name) ?? '').trim();
    const number = (name: string) => typedNumber(text(name));
    const [id, lengthMm, place] = [newId(), number('length'), text('place') || 'offcut tray'];
    const line =
      kind === 'wire'
        ? offcutLine({ id, awg: number('awg'), colour: text('colour'), lengthMm }, place)
        : leadLine({ id, place, family: text('family'), pitchMm: number('pitch'), ways: number('ways'), lengthMm });
    send.mutate(line, { onSuccess: () => setMade(made + 1) });
  };
  return (
    <Stack key={made} onSubmit={submit} noValidate>
      <ChoiceField
        name="kind"
        label="It is"
        options={[
          { value: 'wire', label: 'a wire' },
          { value: 'lead', label: 'a lead with a plug' },
        ]}
        onChange={setKind}
      />
      <Beside $columns={3}>
        {kind === 'wire' ? (
          <>
            <NumberTextField name="awg" label="Gauge, AWG" />
            <WordsField name="colour" label="Colour" />
          </>
        ) : (
          <>
            <WordsField name="family" label="Plug family" />
            <NumberTextField name="pitch" label="Pitch, mm" />
            <NumberTextField name="ways" label="Ways" />
          </>
        )}
        <NumberTextField name="length" label="Length, mm" />
        <WordsField name="place" label="Lies in" />
      </Beside>
      <FormProblem message={send.error?.message ?? null} />
      <SubmitButton>Put it back</SubmitButton>
      {made > 0 && <p role="status">Kept. It is offered when a kit needs it.</p>}
    </Stack>
  );
}

/** A spare lead with a plug. */
function leadLine({
  id,
  place,
  ...doc
}: { id: string; place: string } & Required<Omit<StockLine['doc'], 'awg' | 'colour'>>) {
  const name = `lead, ${doc.ways} ways, ${doc.family}, ${doc.lengthMm} mm`;
  return { id, key: 'offcut:lead', name, unit: 'pieces', onHand: 1, offcut: true, place, doc } satisfies StockLine;
}
