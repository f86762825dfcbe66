/** One fault of the book; an open one is mended here, by a new record that corrects it. */
import type { FaultEntry } from '@junctor/core';
import type { FormEvent } from 'react';
import styled from 'styled-components';
import { deviceId, newId } from '../../api/device';
import { outbox } from '../../api/outbox';
import { useSession } from '../../api/session';
import type { NamedRecord } from '../../api/types';
import { SubmitButton, WordsField } from '../../ui/form';
import { whenWords } from '../../ui/when';

const Entry = styled.article`
  margin: 6px 24px;
  padding: 10px 14px;
  border: 1.5px solid ${({ theme }) => theme.edge};
  border-left: 8px solid ${({ theme }) => theme.ink};
  border-radius: 6px;
  background: ${({ theme }) => theme.paper};
  font-size: 18px;
  h3 {
    font-size: 20px;
  }
  form {
    display: grid;
    gap: 10px;
    max-width: 620px;
    padding-top: 10px;
  }
`;

const stateWords: Readonly<Record<FaultEntry['state'], string>> = {
  found: 'open',
  mended: 'mended',
  proved: 'mended and proved',
  accepted: 'accepted as it is',
};

export function FaultEntryCard({ record, where }: { record: NamedRecord; where: string }) {
  const person = useSession().data;
  if (!('saw' in record.body) || record.body.saw !== 'fault') return null;
  const { fault } = record.body;
  const mend = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    if (!person) return;
    const done = String(new FormData(event.currentTarget).get('done') ?? '').trim();
    const { quadId, jobId, step, planVersion } = record;
    outbox.keep(quadId, person, [
      {
        id: newId(),
        quadId,
        seq: null,
        jobId,
        step,
        personId: person.personId,
        deviceId: deviceId(),
        shownAt: null,
        doneAt: new Date().toISOString(),
        arrivedAt: null,
        basisSeq: record.seq ?? 0,
        planVersion,
        how: 'did',
        replaces: record.id,
        body: { saw: 'fault', fault: { ...fault, done, state: 'mended' } },
      },
    ]);
  };
  return (
    <Entry data-fault={fault.state}>
      <h3>
        {fault.symptom}: {stateWords[fault.state]}
      </h3>
      <p>
        {where}. {fault.cause && `Cause: ${fault.cause}. `}
        {fault.done && `Done: ${fault.done}. `}
        {fault.minutes > 0 && `${fault.minutes} min.`}
      </p>
      <p>
        {record.person}, {whenWords(record.doneAt)}
      </p>
      {fault.state === 'found' && (
        <form onSubmit={mend}>
          <WordsField name="done" label="Mended: what was done" />
          <SubmitButton>It is mended</SubmitButton>
        </form>
      )}
    </Entry>
  );
}
