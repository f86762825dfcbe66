/** A few words typed in a hand: Enter gives them, Esc leaves the field. */
import type { FormEvent } from 'react';
import { SubmitButton, WordsField } from '../../../ui/form';
import { Stack } from '../../../ui/layout';

export function OwnWords({ label, give, onGive }: { label: string; give: string; onGive: (words: string) => void }) {
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const words = String(new FormData(event.currentTarget).get('words') ?? '').trim();
    if (words) onGive(words);
  };
  return (
    <Stack onSubmit={submit} noValidate>
      <WordsField name="words" label={label} autoFocus autoComplete="off" />
      <SubmitButton>{give}</SubmitButton>
    </Stack>
  );
}
