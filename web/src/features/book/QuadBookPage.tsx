/** One aircraft's book: its faults first, then everything that was done and seen, with who and when. */
import type { QuadRecord } from '@junctor/core';
import { places } from '../../addresses';
import { follow, openFaults, siteWords, standingShort, stateOf } from '@junctor/core';
import { useMemo, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useLog } from '../../api/log';
import { covers, modelsNamed, useModels, useQuad } from '../../api/queries';
import type { NamedRecord } from '../../api/types';
import { Head } from '../../ui/Head';
import { KeyCap } from '../../ui/Plate';
import { Notice } from '../../ui/Notice';
import { useKeys } from '../../ui/useKeys';
import { useFocusStart } from '../../ui/useFocusStart';
import { Alarm } from '../../ui/layout';
import { dayWords, whenWords } from '../../ui/when';
import { FaultEntryCard } from './FaultEntryCard';
import { LogLines } from './LogLines';

const Page = styled.main`
  h1 {
    font-size: 34px;
    font-weight: 400;
    padding: 8px 24px 0;
  }
  h2 {
    font-size: 23px;
    padding: 18px 24px 6px;
  }
  & > p,
  nav {
    padding: 2px 24px;
    font-size: 19px;
  }
  nav {
    display: flex;
    gap: 12px;
    flex-wrap: wrap;
  }
  nav button {
    display: flex;
    gap: 8px;
    align-items: center;
    padding: 8px 12px;
    border: 2px solid ${({ theme }) => theme.ink};
    border-radius: 6px;
    background: ${({ theme }) => theme.paper};
    cursor: pointer;
  }
  nav button[aria-pressed='true'] {
    font-weight: 700;
    text-decoration: underline;
    text-underline-offset: 5px;
  }
`;
const Strip = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 0 24px;
  img {
    height: 120px;
  }
`;
const kinds = [
  { key: '1', label: 'everything', has: () => true },
  { key: '2', label: 'work', has: ({ body }: QuadRecord) => 'do' in body },
  {
    key: '3',
    label: 'readings',
    has: ({ body }: QuadRecord) => 'saw' in body && (body.saw === 'reading' || body.saw === 'meter proof'),
  },
  { key: '4', label: 'looks', has: ({ body }: QuadRecord) => 'saw' in body && body.saw === 'look' },
  {
    key: '5',
    label: 'power and permits',
    has: ({ body }: QuadRecord) => 'saw' in body && ['power', 'permit', 'pack', 'caution'].includes(body.saw),
  },
] as const;

export function QuadBookPage() {
  const { quadId } = useParams();
  const page = useRef<HTMLElement>(null);
  useFocusStart(page);
  const quad = useQuad(quadId!);
  const records = useLog(quadId);
  const named = useMemo(() => (records ? modelsNamed(null, records) : undefined), [records]);
  const catalogue = useModels(named).data;
  const [kind, setKind] = useState(0);
  useKeys(kinds.map(({ key, label }, index) => ({ key, label, act: () => setKind(index) })));
  const book = useMemo(() => {
    if (!records || !named || !covers(catalogue, named)) return null;
    const followed = follow(null, records, catalogue);
    const log = stateOf(followed);
    const places = new Map(followed.records.map(({ id }, index) => [id, index]));
    return {
      before: (id: string) => followed.states[places.get(id) ?? 0]!.asBuilt,
      open: openFaults(log).length,
      short: standingShort(log),
      ...struck(records),
    };
  }, [records, named, catalogue]);
  if (quad.error && !quad.data)
    return (
      <Notice title="This book cannot be shown" end>
        {quad.error.message}
      </Notice>
    );
  if (!quad.data || !records || !book) return <Notice title="Fetching the book">One moment.</Notice>;
  const faults = records.filter(({ id, body }) => 'saw' in body && body.saw === 'fault' && !book.gone.has(id));
  const pictures = records.flatMap(({ id, body }) =>
    'saw' in body && body.saw === 'picture' && !book.gone.has(id) ? [{ id, blob: body.blob, of: body.of }] : [],
  );
  const shown = records.filter((record) => kinds[kind]!.has(record)).reverse();
  return (
    <Page ref={page}>
      <title>{`Quad book: ${quad.data.name} · Junctor`}</title>
      <Head title={`${quad.data.name}, quad book`} />
      <h1 tabIndex={-1}>
        {quad.data.name}, {quad.data.customer}
      </h1>
      <p>{records.length} records. Nothing is ever erased: what was corrected or taken back stays, struck through.</p>
      {book.short && (
        <Alarm>
          Short between + and −, read {whenWords(book.short.record.doneAt)}. No battery until the main leads have been
          read good, both ways.
        </Alarm>
      )}
      <nav aria-label="Jobs">
        {quad.data.jobs.map(({ id, title, openedAt, closedAt }) => (
          <Link key={id} to={places.job(id)}>
            {title}, {dayWords(openedAt)}
            {closedAt ? ', closed' : ', open'}
          </Link>
        ))}
      </nav>
      <h2>
        Faults: {faults.length}, {book.open} open
      </h2>
      {faults.length === 0 && <p>No fault has been logged on this quad.</p>}
      {faults.map((record) => (
        <FaultEntryCard
          key={record.id}
          record={record}
          where={siteWords(faultOf(record).site, book.before(record.id))}
        />
      ))}
      {pictures.length > 0 && (
        <>
          <h2>Pictures</h2>
          <Strip>
            {pictures.map(({ id, blob, of }) => (
              <img key={id} src={`/api/pictures/${blob}`} alt={of} title={of} />
            ))}
          </Strip>
        </>
      )}
      <h2 id="log">Log</h2>
      <nav aria-label="Show">
        {kinds.map(({ key, label }, index) => (
          <button key={key} type="button" aria-pressed={index === kind} onClick={() => setKind(index)}>
            <KeyCap>{key}</KeyCap>
            {label}
          </button>
        ))}
      </nav>
      <LogLines records={shown} before={book.before} gone={book.gone} />
    </Page>
  );
}

function faultOf(record: NamedRecord) {
  if (!('saw' in record.body) || record.body.saw !== 'fault') throw new RangeError('not a fault');
  return record.body.fault;
}

/** Records that were corrected or taken back. */
function struck(records: readonly NamedRecord[]): { gone: ReadonlySet<string> } {
  return { gone: new Set(records.flatMap(({ replaces }) => replaces ?? [])) };
}
