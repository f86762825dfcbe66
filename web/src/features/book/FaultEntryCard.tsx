/** One fault of the book. It is mended and proved in a job, by records. */
import type { FaultEntry } from '@junctor/core';
import { Link } from 'react-router';
import styled from 'styled-components';
import { jobPlaces } from '../../addresses';
import type { NamedRecord } from '../../api/types';
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
  img {
    max-width: 320px;
    max-height: 220px;
    margin: 6px 10px 0 0;
  }
`;

const stateWords: Readonly<Record<FaultEntry['state'], string>> = {
  found: 'open',
  mended: 'mended',
  proved: 'mended and proved',
  accepted: 'accepted as it is',
};

export function FaultEntryCard({ record, where }: { record: NamedRecord; where: string }) {
  if (!('saw' in record.body) || record.body.saw !== 'fault') return null;
  const { fault } = record.body;
  return (
    <Entry data-fault={fault.state}>
      <h3>
        {fault.symptom}: {stateWords[fault.state]}
      </h3>
      <p>
        {where}. {fault.cause && `Cause: ${fault.cause}. `}
        {fault.done && `Done: ${fault.done}. `}
        {fault.minutes > 0 && `${fault.minutes} min. `}
        {fault.mendedBy && `Mended by ${fault.mendedBy.length} ${fault.mendedBy.length === 1 ? 'record' : 'records'}`}
        {fault.provedBy && `, shown by ${fault.provedBy.length}`}
        {fault.mendedBy && '.'}
      </p>
      <p>
        {record.person}, {whenWords(record.doneAt)}
      </p>
      {fault.acceptedBecause && <p>Left as it is: {fault.acceptedBecause}.</p>}
      {(fault.pictures ?? []).map((id) => (
        <img key={id} src={`/api/pictures/${id}`} alt={`Picture of ${fault.symptom}`} />
      ))}
      {fault.state === 'found' && <Link to={jobPlaces(record.jobId).faultOf(record.id)}>Open it in its job</Link>}
    </Entry>
  );
}
