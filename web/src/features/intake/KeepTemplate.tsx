/** The plan of a job kept as a template of the shop: for the next aircraft of the same. */
import type { FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { jobPlaces } from '../../addresses';
import { newId } from '../../api/device';
import { keys } from '../../api/keys';
import { useSend } from '../../api/queries';
import { useBench } from '../../bench/provider/useBench';
import { AnswerKeys } from '../../ui/AnswerKeys';
import { fieldErrors } from '../../ui/fieldErrors';
import { FormPage, FormProblem, SubmitButton, WordsField } from '../../ui/form';
import { Head } from '../../ui/Head';

export function KeepTemplate() {
  const navigate = useNavigate();
  const { job } = useBench();
  const send = useSend<object>(() => `/jobs/${job.id}/templates`, [keys.templates]);
  const errors = fieldErrors(send.error);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const name = String(new FormData(event.currentTarget).get('name')).trim();
    const back = () => void navigate(jobPlaces(job.id).intake, { replace: true });
    send.mutate({ id: newId(), name }, { onSuccess: back });
  };
  return (
    <FormPage
      title="Keep this plan for the next of the same"
      head={<Head title={`${job.quad}, template`} />}
      onSubmit={submit}
    >
      <WordsField name="name" label="What the template is called" autoFocus error={errors.of('name')} />
      <FormProblem message={errors.rest(['name'])} />
      <SubmitButton>Keep as a template</SubmitButton>
      <AnswerKeys answers={[{ key: 'Escape', act: () => void navigate(-1) }]} />
    </FormPage>
  );
}
