/** What is to be done: the customer's words, the plan, how the quad comes in, and what is at risk. */
import type { JobSheet, PlanDraft } from '@junctor/core';
import { difference, emptyBuild, lostWords } from '@junctor/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { FormEvent } from 'react';
import { useNavigate, useParams } from 'react-router';
import { jobPlaces } from '../../addresses';
import { request } from '../../api/client';
import { keys } from '../../api/keys';
import { newId } from '../../api/device';
import { newRecord } from '../../api/newRecord';
import { outbox } from '../../api/outbox';
import { useQuad, useSend, useTemplates } from '../../api/queries';
import { useSession } from '../../api/session';
import type { Person, Quad } from '../../api/types';
import { Head } from '../../ui/Head';
import { Notice } from '../../ui/Notice';
import { useModelIndex } from '../../api/stores';
import { fieldErrors } from '../../ui/fieldErrors';
import {
  ChoiceField,
  DayField,
  FileField,
  FormPage,
  FormProblem,
  NumberTextField,
  SubmitButton,
  typedNumber,
  WordsField,
} from '../../ui/form';
import type { Choice } from '../../api/swapped';
import { useSwapped } from '../../api/swapped';
import { AnotherPart } from './AnotherPart';
import { OtherQuad } from './OtherQuad';
import { readBuildFile } from '../../files/readBuildFile';
import { Beside } from '../../ui/layout';

const kinds = [
  { value: 'new', label: 'new build' },
  { value: 'conversion', label: 'conversion' },
  { value: 'repair', label: 'repair' },
  { value: 'refit', label: 'refit' },
];
const comings = [
  { value: 'parts', label: 'in parts' },
  { value: 'book', label: 'as its book says' },
  { value: 'wired', label: 'wired as planned' },
];
const fromBook = { value: 'book', label: 'what is in it: its book' };
const sources = [
  { value: 'parts', label: 'a heap of parts' },
  { value: 'template', label: 'a template' },
  { value: 'file', label: 'a build file' },
  { value: 'pattern', label: 'another aircraft as a pattern' },
];
/** A repair starts from what is there; a new build has nothing to start from. */
const doorsOf: Readonly<Record<string, readonly { value: string; label: string }[]>> = {
  new: sources,
  conversion: [...sources, fromBook],
  repair: [fromBook, ...sources],
  refit: [fromBook, ...sources],
};

export function JobForm() {
  const { quadId = '' } = useParams();
  const quad = useQuad(quadId);
  if (quad.error && !quad.data)
    return (
      <Notice title="This quad cannot be shown" end>
        {quad.error.message}
      </Notice>
    );
  if (!quad.data) return <Notice title="Fetching the quad">One moment.</Notice>;
  return <JobOf quad={quad.data} />;
}

function JobOf({ quad }: { quad: Quad }) {
  const navigate = useNavigate();
  const head = <Head title={`new job, ${quad.customer}, ${quad.name}`} />;
  const templates = useTemplates();
  const index = useModelIndex().data ?? [];
  const person = useSession().data;
  const [kind, setKind] = useState('new');
  const [door, setDoor] = useState('parts');
  const [pattern, setPattern] = useState<string | null>(null);
  const fromFile = door === 'file';
  const chooseKind = (next: string) => {
    setKind(next);
    setDoor(doorsOf[next]![0]!.value);
  };
  const [template, setTemplate] = useState<string | null>(null);
  const [choices, setChoices] = useState<readonly Choice[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [lostSeen, setLostSeen] = useState(false);
  const send = useSend<object, JobSheet>(() => '/jobs', [keys.floor, keys.quads(), keys.quad()]);
  const errors = fieldErrors(send.error);
  const usable = (templates.data ?? []).filter(({ retired }) => !retired);
  const chosen = template ?? usable[0]?.id ?? null;
  const draft = useQuery({
    queryKey: keys.template(chosen),
    enabled: chosen !== null && door === 'template',
    staleTime: Infinity,
    queryFn: () => request<{ plan: PlanDraft }>('GET', `/templates/${chosen}`),
  });
  const { whenSwapped } = useSwapped(draft.data?.plan ?? null, choices);
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (name: string) => String(data.get(name) ?? '').trim();
    setProblem(null);
    // The form may be sent before the templates have come.
    let plan: object = { template: chosen ?? (await templates.refetch()).data?.find(({ retired }) => !retired)?.id };
    if (door === 'book') plan = { book: true };
    else if (door === 'parts') plan = { parts: true };
    else if (door === 'pattern') {
      if (pattern === null) return setProblem('Which aircraft is the pattern?');
      plan = { pattern };
    } else if (fromFile) {
      const read = await readBuildFile(data.get('file') as File);
      if (!read.ok) return setProblem(read.problem);
      plan = { file: read.file };
    } else if (choices.length > 0 || text('alloy') === 'lead-free') {
      const swapped = await whenSwapped();
      if (!swapped) return setProblem('The part models have not come: press again');
      if (swapped.lost.length > 0 && !lostSeen) {
        setLostSeen(true);
        return setProblem(
          `The board chosen does not take every lead. ${lostWords(swapped.lost).join(' ')} Press again to open the job without them.`,
        );
      }
      plan = {
        file: {
          format: 'junctor-build',
          version: 1,
          name: text('title') || 'build',
          plan: { ...swapped.plan, schools: { ...swapped.plan.schools, 'solder alloy': text('alloy') } },
        },
      };
    }
    const value = Math.round(typedNumber(text('value')) * 100);
    const intake = {
      wants: text('wants'),
      valueMinor: Number.isFinite(value) ? value : -1,
      pack: text('pack') || null,
      propeller: text('propeller') || null,
      extras: [],
    };
    const job = {
      id: newId(),
      quadId: quad.id,
      kind: text('kind'),
      title: text('title'),
      dueOn: text('dueOn') || null,
      bench: Number(text('bench')),
      intake,
      plan,
    };
    const coming = text('coming');
    send.mutate(job, {
      onSuccess: (made) => {
        if (isWiredAlready(door) && coming === 'wired' && person) foundAsPlanned(made, person);
        const places = jobPlaces(made.id);
        const first = made.kind === 'repair' ? places.cameIn : places.intake;
        void navigate(door === 'parts' ? places.compose() : first, { replace: true });
      },
    });
  };
  const ofKind = (kind: string) => [
    { value: '', label: 'not said' },
    ...index
      .filter((model) => model.kind === kind && !model.retired)
      .map(({ id, name }) => ({ value: id, label: name })),
  ];
  return (
    <FormPage title={`What is to be done to ${quad.name}?`} head={head} onSubmit={(event) => void submit(event)} wide>
      <WordsField name="title" label="In a few words" defaultValue="new build" autoFocus error={errors.of('title')} />
      <WordsField
        name="wants"
        label="What the customer wants, in the customer’s words"
        error={errors.of('intake.wants')}
      />
      <ChoiceField name="kind" label="Kind of job" options={kinds} onChange={chooseKind} />
      {isWiredAlready(door) && <ChoiceField name="coming" label="The quad comes in" options={comings} />}
      <DayField name="dueOn" label="Due day, may stay empty" error={errors.of('dueOn')} />
      <Beside>
        <NumberTextField name="bench" label="Bench" defaultValue="1" error={errors.of('bench')} />
        <NumberTextField
          name="value"
          label="Worth of craft and load, in money"
          error={errors.of('intake.valueMinor')}
        />
      </Beside>
      <ChoiceField
        name="source"
        label="The plan comes from"
        key={kind}
        options={doorsOf[kind]!}
        onChange={setDoor}
        few={5}
      />
      {door === 'pattern' && <OtherQuad not={quad.id} onChoose={setPattern} />}
      {fromFile && <FileField name="file" label="Build file" accept="application/json,.json" />}
      {door === 'template' && (
        <>
          <ChoiceField
            key={String(templates.isSuccess)}
            name="template"
            label="Template"
            options={usable.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(id) => {
              setTemplate(id);
              setChoices([]);
            }}
          />
          {draft.data && (
            <AnotherPart
              plan={draft.data.plan}
              onChoose={(choice, slot) => {
                setLostSeen(false);
                setChoices([...choices.filter((choice) => choice.slot !== slot), ...(choice ? [choice] : [])]);
              }}
            />
          )}
        </>
      )}
      {door === 'template' && (
        <ChoiceField
          name="alloy"
          label="Solder"
          options={[
            { value: 'leaded', label: 'leaded' },
            { value: 'lead-free', label: 'lead-free' },
          ]}
        />
      )}
      <ChoiceField key={`pack${index.length}`} name="pack" label="Pack it flies with" options={ofKind('pack')} />
      <ChoiceField key={`prop${index.length}`} name="propeller" label="Propellers" options={ofKind('propeller')} />
      <FormProblem message={problem ?? errors.rest(['title', 'dueOn', 'bench'])} />
      <SubmitButton>Open the job</SubmitButton>
    </FormPage>
  );
}

/** A quad can come in wired as these say. */
function isWiredAlready(door: string): boolean {
  return door === 'template' || door === 'file';
}

/** What is there already, recorded as found: no joint of it counts as made here. */
function foundAsPlanned({ id, quadId, plan }: JobSheet, person: Person): void {
  const doneAt = new Date().toISOString();
  const acts = difference(emptyBuild, plan.target).flatMap(({ effect }) => [...effect]);
  const { personId } = person;
  const given = { quadId, jobId: id, personId, planVersion: 1, basisSeq: 0, doneAt, how: 'found' } as const;
  const records = acts.map((body) => newRecord(body, given));
  for (let from = 0; from < records.length; from += 100) outbox.keep(quadId, person, records.slice(from, from + 100));
}
