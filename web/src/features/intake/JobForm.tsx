/** What is to be done: kind, due day, bench, and where the plan comes from: a template or a build file. */
import { useState } from 'react';
import type { FormEvent, ReactNode } from 'react';
import { newId } from '../../api/device';
import { useSend, useTemplates } from '../../api/queries';
import type { JobSheet } from '@junctor/core';
import { fieldErrors } from '../../ui/fieldErrors';
import { ChoiceField, FormPage, FormProblem, NumberTextField, SubmitButton, WordsField } from '../../ui/form';
import { readBuildFile } from './readBuildFile';

interface JobFormProps {
  head: ReactNode;
  quad: { id: string; name: string };
  onDone: (jobId: string) => void;
}

const kinds = [{ value: 'new', label: 'new build' }, { value: 'conversion', label: 'conversion' }, { value: 'repair', label: 'repair' }, { value: 'refit', label: 'refit' }];

export function JobForm({ head, quad, onDone }: JobFormProps) {
  const templates = useTemplates();
  const [fromFile, setFromFile] = useState(false);
  const [fileProblem, setFileProblem] = useState<string | null>(null);
  const send = useSend<object, JobSheet>(() => '/jobs', ['floor', 'quads', 'quad']);
  const errors = fieldErrors(send.error);
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const text = (name: string) => String(data.get(name) ?? '').trim();
    setFileProblem(null);
    let plan: object = { template: text('template') };
    if (text('source') === 'file') {
      const read = await readBuildFile(data.get('file') as File);
      if (!read.ok) {
        setFileProblem(read.problem);
        return;
      }
      plan = { file: read.file };
    }
    const job = { id: newId(), quadId: quad.id, kind: text('kind'), title: text('title'), dueOn: text('dueOn') || null, bench: Number(text('bench')), plan };
    send.mutate(job, { onSuccess: ({ id }) => onDone(id) });
  };
  const sources = [{ value: 'template', label: 'a template' }, { value: 'file', label: 'a build file' }];
  return (
    <FormPage title={`What is to be done to ${quad.name}?`} head={head} onSubmit={(event) => void submit(event)}>
      <WordsField name="title" label="In a few words" defaultValue="new build" autoFocus error={errors.of('title')} />
      <ChoiceField name="kind" label="Kind of job" options={kinds} />
      <WordsField name="dueOn" label="Due day, may stay empty" type="date" error={errors.of('dueOn')} />
      <NumberTextField name="bench" label="Bench" defaultValue="1" error={errors.of('bench')} />
      <ChoiceField name="source" label="The plan comes from" options={sources} onChange={(value) => setFromFile(value === 'file')} />
      {fromFile ? (
        <label style={{ display: 'grid', gap: 4, fontWeight: 700 }}>Build file
          <input type="file" name="file" accept="application/json,.json" style={{ fontWeight: 400 }} />
        </label>
      ) : (
        <ChoiceField key={String(templates.isSuccess)} name="template" label="Template" options={(templates.data ?? []).map(({ id, name }) => ({ value: id, label: name }))} />
      )}
      <FormProblem message={fileProblem ?? errors.rest(['title', 'dueOn', 'bench'])} />
      <SubmitButton>Open the job</SubmitButton>
    </FormPage>
  );
}
