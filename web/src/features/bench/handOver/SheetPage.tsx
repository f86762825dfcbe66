/** The sheet for the customer, plain, for paper. It says what was checked, when and by whom; never that it is safe. */
import { customerSheet, notesOf, ofJob } from '@junctor/core';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { jobPlaces } from '../../../addresses';
import { useParts } from '../../../api/stores';
import { useBench } from '../../../bench/provider/useBench';
import { Lines, Sheet } from '../../../ui/Sheet';
import { dayWords } from '../../../ui/when';

const Strip = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  img {
    height: 150px;
  }
`;

export function SheetPage() {
  const bench = useBench();
  const navigate = useNavigate();
  const { state, job, records } = bench;
  const parts = useParts('').data ?? [];
  const serials = new Map(parts.flatMap(({ id, serial }) => (serial ? [[id, serial] as const] : [])));
  const sections = customerSheet(state, job.id, serials);
  const own = records.filter(({ jobId }) => jobId === job.id);
  const people = [...new Set(own.map(({ person }) => person))];
  const pictures = notesOf(state.log, 'picture').filter(ofJob(job.id));
  const ofFaults = notesOf(state.log, 'fault')
    .filter(ofJob(job.id))
    .flatMap(({ record }) => (record.body.fault.pictures ?? []).map((id) => ({ id, of: record.body.fault.symptom })));
  return (
    <Sheet
      place={`${job.quad}, sheet for the customer`}
      title={`${job.quad}: ${job.title}`}
      note={`For ${job.customer}. Opened ${dayWords(job.openedAt)}${job.closedAt ? `, closed ${dayWords(job.closedAt)}` : ''}. At the bench: ${people.join(', ') || 'nobody yet'}.`}
      go={(to) => void navigate(to)}
      doors={[
        { key: 'p', label: 'Print it', act: () => window.print() },
        { key: 'Enter', label: 'Back to the bench', to: jobPlaces(job.id).now },
        { key: 's', label: 'Set-up sheet', to: jobPlaces(job.id).setUp },
      ]}
    >
      {sections.map(({ title, lines }) => (
        <section key={title}>
          <h2>{title}</h2>
          <Lines aria-label={title}>
            {lines.map((line, index) => (
              <li key={`${index} ${line}`}>{line}</li>
            ))}
          </Lines>
        </section>
      ))}
      {pictures.length + ofFaults.length > 0 && (
        <section>
          <h2>Pictures</h2>
          <Strip>
            {[...pictures.map(({ record }) => ({ id: record.body.blob, of: record.body.of })), ...ofFaults].map(
              ({ id, of }) => (
                <img key={id} src={`/api/pictures/${id}`} alt={of} />
              ),
            )}
          </Strip>
        </section>
      )}
      <section>
        <h2>What this sheet is</h2>
        <p>
          It says which checks passed, when, and by whom. It does not say that the aircraft is safe to fly: that is for
          whoever flies it, outdoors, propellers on last. New parts or another mass make an old tune stale.
        </p>
      </section>
    </Sheet>
  );
}
