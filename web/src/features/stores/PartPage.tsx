/** One part in hand: what is known of it, and its loose-part signature. */
import type { LooseReading } from '@junctor/core';
import { places } from '../../addresses';
import { judgeLoose, possible, toneWords } from '@junctor/core';
import { useEffect, useState } from 'react';
import type { FormEvent } from 'react';
import { useNavigate, useParams } from 'react-router';
import { newId } from '../../api/device';
import { keys } from '../../api/keys';
import { useMeter, useSend } from '../../api/queries';
import type { PartNote } from '../../api/stores';
import { useModelIndex, useModelSheet, usePart } from '../../api/stores';
import { compute } from '../../compute/compute';
import { ChoiceField, FormProblem, NumberTextField, SubmitButton, typedNumber, WordsField } from '../../ui/form';
import { Notice } from '../../ui/Notice';
import { whenWords } from '../../ui/when';
import { Columns, Lines, Sheet } from '../../ui/Sheet';
import { Beside, Stack } from '../../ui/layout';

export function PartPage() {
  const { partId } = useParams();
  const navigate = useNavigate();
  const part = usePart(partId!);
  const names = useModelIndex().data ?? [];
  const send = useSend<object>(() => `/parts/${partId}/notes`, [keys.parts()]);
  if (part.error && !part.data)
    return (
      <Notice title="This part cannot be shown" end>
        {part.error.message}
      </Notice>
    );
  if (!part.data) return <Notice title="Fetching the part">One moment.</Notice>;
  const { model, serial, batch, owner, origin, condition, firmware, weightG, fromQuad, onQuad, notes } = part.data;
  const note = (body: object) => send.mutate({ id: newId(), body });
  return (
    <Sheet
      place="stores, part in hand"
      title={`${names.find(({ id }) => id === model)?.name ?? model}${serial ? `, serial ${serial}` : ''}`}
      go={(to) => void navigate(to)}
      doors={[
        { key: 'l', label: 'Parts in hand', to: places.parts },
        { key: 'm', label: 'Its part model', to: places.model(model) },
      ]}
      note={`${origin === 'new' ? 'New' : `▲ ${origin}${fromQuad ? `, from ${fromQuad}` : ''}`}, ${condition}, ${owner ? `belongs to ${owner}` : 'the shop’s own'}${batch ? `, batch ${batch}` : ''}${firmware ? `, firmware ${firmware}` : ''}${weightG === null ? ', not weighed' : `, ${weightG} g`}${onQuad ? `, on ${onQuad}` : ', in the shop'}.`}
    >
      <Columns>
        <section>
          <h2>What is found out</h2>
          <NoteForm onNote={note} problem={send.error?.message ?? null} />
          <h2>History</h2>
          <Lines aria-label="History">
            {[...notes].reverse().map((note) => (
              <li key={note.id}>
                <span>
                  {whenWords(note.at)}, {note.person}: {noteWords(note.body)}
                </span>
              </li>
            ))}
            {notes.length === 0 && <li>Nothing yet.</li>}
          </Lines>
        </section>
        <section>
          <h2>Signature of the loose part</h2>
          <SignatureForm model={model} onNote={note} />
        </section>
      </Columns>
    </Sheet>
  );
}

function noteWords(body: PartNote['body']): string {
  switch (body.is) {
    case 'condition':
      return `${body.condition}${body.why ? `, ${body.why}` : ''}`;
    case 'firmware':
      return `firmware ${body.firmware}`;
    case 'weight':
      return `${body.grams} g`;
    case 'taken off':
      return 'came off a quad';
    case 'goes':
      return body.to === 'customer' ? 'goes back to the customer' : `goes to ${body.to}`;
    case 'signature':
      return `signature, ${body.readings.length} readings${body.readings.some(({ verdict }) => verdict === 'stop') ? ', one that a good part cannot show' : ', none against it'}`;
  }
}

function NoteForm({ onNote, problem }: { onNote: (body: object) => void; problem: string | null }) {
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const data = new FormData(form);
    const text = (name: string) => String(data.get(name) ?? '').trim();
    if (text('firmware')) onNote({ is: 'firmware', firmware: text('firmware') });
    if (text('grams')) onNote({ is: 'weight', grams: typedNumber(text('grams')) });
    if (text('condition') !== 'same') onNote({ is: 'condition', condition: text('condition'), why: text('why') });
    form.reset();
  };
  return (
    <Stack onSubmit={submit} noValidate>
      <ChoiceField
        name="condition"
        label="Condition"
        options={['same', 'tested', 'doubtful', 'scrap'].map((value) => ({
          value,
          label: value === 'same' ? 'as before' : value,
        }))}
      />
      <WordsField name="why" label="Why" />
      <Beside>
        <WordsField name="firmware" label="Firmware now" />
        <NumberTextField name="grams" label="Weighed, g" />
      </Beside>
      <FormProblem message={problem} />
      <SubmitButton>Write it down</SubmitButton>
    </Stack>
  );
}

/** A number that is none, or that no meter has ever shown. */
function isOdd(mode: LooseReading['mode'], text: string): boolean {
  if (mode === 'tone' || text === '') return false;
  const value = typedNumber(text);
  const [low, high] = mode === 'ohms' ? possible.ohms : possible.diodeV;
  return !(value >= low && value <= high);
}

function SignatureForm({ model, onNote }: { model: string; onNote: (body: object) => void }) {
  const sheet = useModelSheet(model);
  const meter = useMeter();
  const newest = sheet.data?.revisions.at(-1);
  const [readings, setReadings] = useState<readonly LooseReading[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [doubted, setDoubted] = useState('');
  useEffect(() => {
    if (newest && meter) void compute().loose(newest, meter).then(setReadings);
  }, [newest, meter]);
  if (!readings) return <p role="status">Computing what it must read.</p>;
  if (readings.length === 0) return <p>Nothing on it can be measured loose.</p>;
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const typed = readings.map((_, index) => String(data.get(`r${index}`) ?? '').trim());
    const odd = readings.flatMap(({ mode }, index) => (isOdd(mode, typed[index]!) ? [typed[index]!] : []));
    if (odd.some((text) => Number.isNaN(typedNumber(text)))) return setProblem(`No number: ${odd.join(', ')}`);
    if (odd.length > 0 && doubted !== odd.join()) {
      setDoubted(odd.join());
      return setProblem(`Far from anything possible: ${odd.join(', ')}. If it is so, write it down once more`);
    }
    setProblem(null);
    const answered = readings.flatMap((reading, index) => {
      const given = typed[index]!;
      if (given === '' || given === 'not measured') return [];
      const heard =
        reading.mode === 'tone'
          ? { length: given as 'none', value: null }
          : { length: null, value: typedNumber(given) };
      return [
        {
          black: reading.black.id,
          red: reading.red.id,
          mode: reading.mode,
          ...heard,
          passes: reading.expected.passes,
          band: reading.expected.band,
          verdict: judgeLoose(reading, heard),
        },
      ];
    });
    if (answered.length > 0) onNote({ is: 'signature', readings: answered });
  };
  return (
    <Stack onSubmit={submit} noValidate>
      {readings.map(({ black, red, mode, why }, index) => {
        const label = `Black ${black.printed}, red ${red.printed}: ${why}`;
        if (mode !== 'tone')
          return <NumberTextField key={index} name={`r${index}`} label={`${label}, ${mode === 'ohms' ? 'Ω' : 'V'}`} />;
        const others = (['none', 'chirp', 'about a second', 'many seconds', 'does not stop'] as const).map((value) => ({
          value: value as string,
          label: toneWords(value),
        }));
        return (
          <ChoiceField
            key={index}
            name={`r${index}`}
            label={label}
            options={[{ value: 'not measured', label: 'not measured' }, ...others]}
          />
        );
      })}
      <FormProblem message={problem} />
      <SubmitButton>Keep the signature</SubmitButton>
    </Stack>
  );
}
