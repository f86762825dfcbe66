/** What this tablet keeps that the server does not have: what waits, what was refused and why, what cannot be read. */
import { isAct } from '@junctor/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { places } from '../../addresses';
import type { Batch } from '../../api/outbox';
import { outbox, useOutbox } from '../../api/outbox';
import { saveFile } from '../../files/saveFile';
import { Lines, Sheet } from '../../ui/Sheet';
import { Small } from '../../ui/Small';
import { whenWords } from '../../ui/when';

export function KeptPage() {
  const navigate = useNavigate();
  const { batches, refused, damaged, aside, unkept, trouble } = useOutbox();
  const [asked, setAsked] = useState<string | null>(null);
  const all = [...batches, ...refused, ...damaged];
  /** Asked once: it is gone for good then. */
  const letGo = (key: string) => {
    if (asked !== key) return setAsked(key);
    outbox.letGo(key);
    setAsked(null);
  };
  const goneFor = (key: string) => (asked === key ? 'Let it go for good?' : 'Let it go');
  return (
    <Sheet
      place="kept on this tablet"
      title={all.length === 0 ? 'Everything is stored' : 'What is kept here and not stored'}
      note="It stays on this tablet until the server has it, or until you let it go."
      go={(to) => void navigate(to)}
      doors={[
        { key: 'Enter', label: 'Send what waits, now', act: outbox.nudge },
        {
          key: 'e',
          label: 'Write it all as a file',
          act: () => saveFile('kept.json', `${JSON.stringify(all, null, 2)}\n`, 'application/json'),
        },
        { key: 'f', label: 'Floor', to: places.floor },
      ]}
    >
      <section>
        <h2>Refused: {refused.length}</h2>
        <Lines aria-label="Refused">
          {refused.map((batch) => (
            <li key={batch.key}>
              <span>
                <strong>▲ {batch.message}</strong>
              </span>
              <span>{batchWords(batch)}</span>
              <span>
                <Small type="button" onClick={() => outbox.tryAgain(batch.key)}>
                  Try it again
                </Small>{' '}
                <Small type="button" onClick={() => letGo(batch.key)}>
                  {goneFor(batch.key)}
                </Small>
              </span>
            </li>
          ))}
          {refused.length === 0 && <li>Nothing was refused.</li>}
        </Lines>
        <h2>Waiting: {batches.length}</h2>
        {trouble && batches.length > 0 && <p>{trouble}</p>}
        <Lines aria-label="Waiting">
          {batches.map((batch) => (
            <li key={batch.key}>
              <span>
                {batchWords(batch)}
                {aside.has(batch.key) ? ', ▲ set aside: the server failed on it, it is tried again now and then' : ''}
                {unkept.has(batch.key) ? ', ▲ only in this page: the tablet’s storage is full' : ''}
              </span>
            </li>
          ))}
          {batches.length === 0 && <li>Nothing waits.</li>}
        </Lines>
        {damaged.length > 0 && (
          <>
            <h2>Cannot be read: {damaged.length}</h2>
            <Lines aria-label="Cannot be read">
              {damaged.map(({ key, text }) => (
                <li key={key}>
                  <span>
                    ▲ {text.slice(0, 120)}
                    {text.length > 120 ? ' …' : ''}
                  </span>
                  <Small type="button" onClick={() => letGo(key)}>
                    {goneFor(key)}
                  </Small>
                </li>
              ))}
            </Lines>
          </>
        )}
      </section>
    </Sheet>
  );
}

/** "Bram Tolley, 14:32: 2 records, land". */
function batchWords({ records, person }: Batch): string {
  const what = [...new Set(records.map(({ body }) => (isAct(body) ? body.do : body.saw)))].join(', ');
  const at = records[0] ? whenWords(records[0].doneAt) : '';
  return `${person || 'somebody'}, ${at}: ${records.length} ${records.length === 1 ? 'record' : 'records'}, ${what}`;
}
