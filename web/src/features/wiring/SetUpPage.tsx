/** The set-up sheet: what the software must be told, and a pasted dump held against it line by line. */
import type { DumpLine, SheetLine } from '@junctor/core';
import { compareDump, setupSheet } from '@junctor/core';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { jobPlaces } from '../../addresses';
import { Columns, Lines, Sheet } from '../../ui/Sheet';
import { Agreed } from './Agreed';
import { useBench } from '../../bench/provider/useBench';
import { Alarm } from '../../ui/layout';

const Paste = styled.label`
  display: grid;
  gap: 4px;
  font-size: 18px;
  font-weight: 700;
  textarea {
    min-height: 130px;
    padding: 10px 12px;
    font: 400 16px ${({ theme }) => theme.mono};
    border: 2px solid ${({ theme }) => theme.ink};
    border-radius: 6px;
    background: ${({ theme }) => theme.paper};
  }
  @media print {
    display: none;
  }
`;
/** On paper only what a dump was held against. */
const OnScreen = styled.section<{ $always: boolean }>`
  @media print {
    display: ${({ $always }) => ($always ? 'block' : 'none')};
  }
`;
const groups: Readonly<Record<SheetLine['group'], string>> = {
  ports: 'Ports',
  receiver: 'Receiver',
  video: 'Video',
  motors: 'Motors',
  board: 'Board',
  battery: 'Battery',
  safety: 'Safety',
  taste: 'The customer’s taste',
};
const marks: Readonly<Record<DumpLine['verdict'], string>> = {
  same: '●',
  differs: '▲',
  missing: '▲',
  'not on the sheet': '○',
  'to be measured': '◐',
};

export function SetUpPage() {
  const bench = useBench();
  const navigate = useNavigate();
  const { job, catalogue } = bench;
  const [dump, setDump] = useState('');
  const sheet = useMemo(() => setupSheet(job.plan, catalogue), [job.plan, catalogue]);
  const compared = useMemo(() => (dump.trim() === '' ? null : compareDump(sheet, dump)), [sheet, dump]);
  const odd = compared?.ok
    ? compared.lines.filter(({ verdict }) => verdict === 'differs' || verdict === 'missing')
    : [];
  const headlineOf = () => {
    if (compared?.ok) {
      if (odd.length === 0) return 'The dump says what the wiring wants';
      return `${odd.length} settings do not mirror the wiring`;
    }
    return 'What the software must be told';
  };
  return (
    <Sheet
      place={`${job.quad}, set-up`}
      title={headlineOf()}
      note={`${job.quad}, ${job.title}, plan version ${job.plan.version}. Made from the wiring; what says “measure” is set at the bench.`}
      go={(to) => void navigate(to)}
      doors={[
        { key: 'm', label: 'Wiring', to: jobPlaces(job.id).wiring() },
        { key: 'p', label: 'Print it', act: () => window.print() },
      ]}
    >
      <Columns>
        <section>
          {Object.entries(groups).map(([group, title]) => (
            <Group key={group} title={title} lines={sheet.filter((line) => line.group === group)} />
          ))}
        </section>
        <OnScreen $always={compared !== null}>
          <Agreed bench={bench} />
          <h2>Held against a dump</h2>
          <Paste>
            Settings as they are, one “key = value” a line, or CSV with key and value
            <textarea value={dump} onChange={({ target }) => setDump(target.value)} spellCheck={false} />
          </Paste>
          {compared && !compared.ok && (
            <Alarm>
              Line {compared.line}: {compared.why}
            </Alarm>
          )}
          {compared?.ok && (
            <Lines $columns="26px 200px 1fr" aria-label="Compared">
              {[...compared.lines]
                .sort((a, b) => rank(a) - rank(b))
                .map(({ key, verdict, wanted, found }) => (
                  <li key={key}>
                    <span aria-hidden>{marks[verdict]}</span>
                    <span>{key}</span>
                    <span>
                      {verdict === 'same' ? (
                        <span className="quiet">same: {found}</span>
                      ) : (
                        <>
                          <strong>{verdict}</strong>
                          {found !== null ? `: is ${found}` : ''}
                          {wanted !== null ? `, wanted ${wanted}` : ''}
                        </>
                      )}
                    </span>
                  </li>
                ))}
            </Lines>
          )}
        </OnScreen>
      </Columns>
    </Sheet>
  );
}

function rank({ verdict }: DumpLine): number {
  return ['differs', 'missing', 'not on the sheet', 'to be measured', 'same'].indexOf(verdict);
}

function Group({ title, lines }: { title: string; lines: readonly SheetLine[] }) {
  if (lines.length === 0) return null;
  return (
    <>
      <h2>{title}</h2>
      <Lines $columns="minmax(0, 1fr) minmax(0, 0.6fr) minmax(0, 2fr)" aria-label={title}>
        {lines.map(({ key, value, because }) => (
          <li key={key}>
            <span>{key}</span>
            <strong>{value ?? 'measure'}</strong>
            <span className="quiet">{because}</span>
          </li>
        ))}
      </Lines>
    </>
  );
}
