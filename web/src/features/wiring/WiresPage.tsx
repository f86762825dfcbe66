/** All wires as a table: filtered by part, rail or signal, sorted, planned against built; written and read as CSV. */
import { CsvFaults } from '../../ui/CsvFaults';
import type { Build, PlanChange, WireRow, Assembly } from '@junctor/core';
import {
  buildFileOf,
  changesFromRows,
  isAttached,
  netlist,
  slotsOfRow,
  spiceDeckOf,
  retained,
  terminalUnder,
  wireRows,
  wiringSvg,
  assemble,
} from '@junctor/core';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { jobPlaces } from '../../addresses';
import { useChangePlan } from '../../api/queries';
import type { CsvFault } from '../../files/csvRows';
import { ChoiceField, FileField, WordsField } from '../../ui/form';
import { saveFile } from '../../files/saveFile';
import { Sheet } from '../../ui/Sheet';
import { Small } from '../../ui/Small';
import { useBench } from '../../bench/provider/useBench';
import { readWires, writeWires } from '../../files/wireCsv';
import type { WireKind } from './wireKind';
import { kindOf } from './wireKind';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 18px;
  th button {
    font: inherit;
    font-weight: 700;
    background: none;
    border: 0;
    padding: 6px 0;
    cursor: pointer;
    color: inherit;
  }
  th,
  td {
    text-align: left;
    padding: 5px 12px 5px 0;
    border-bottom: 1px solid ${({ theme }) => theme.edge};
  }
`;
const Tools = styled.div`
  display: grid;
  grid-template-columns: 300px 1fr auto 280px;
  gap: 20px;
  align-items: end;
  padding: 0 24px 10px;
`;
const columns = [
  ['wire', 'Wire'],
  ['from', 'From'],
  ['to', 'To'],
  ['awg', 'AWG'],
  ['colour', 'Colour'],
  ['lengthMm', 'Length'],
  ['link', 'For'],
  ['state', 'State'],
] as const;
type Column = (typeof columns)[number][0];
type Kind = 'all' | WireKind;
/** With both ends as they are called, also under a plug. */
type Shown = WireRow & { state: string; kind: Kind; at: readonly [from: string, to: string] };

export function WiresPage() {
  const bench = useBench();
  const navigate = useNavigate();
  const { job, catalogue, state } = bench;
  const change = useChangePlan(job.id);
  const [typed, setTyped] = useState('');
  const [kind, setKind] = useState<Kind>('all');
  const [order, setOrder] = useState<Column>('wire');
  const [faults, setFaults] = useState<readonly CsvFault[]>([]);
  const [offered, setOffered] = useState<readonly PlanChange[] | null>(null);
  const all = useMemo(() => {
    const { target, links } = job.plan;
    const nets = netlist(assemble(target, catalogue));
    const there = retained(state.asBuilt, target).build;
    return wireRows(target, links).map((row): Shown => ({
      ...row,
      state: stateOf(row, there, target),
      kind: kindOf(nets.netOfWire(row.wire), assemble(target, catalogue)),
      at: [endOf(row, 0, assemble(target, catalogue)), endOf(row, 1, assemble(target, catalogue))],
    }));
  }, [job.plan, catalogue, state.asBuilt]);
  const wanted = typed.trim().toLowerCase();
  const found = all.filter(
    (row) =>
      (kind === 'all' || row.kind === kind) &&
      (wanted === '' ||
        [row.wire, row.from, row.to, ...row.at, row.colour, row.link, row.state, ...slotsOfRow(row)].some((text) =>
          text.toLowerCase().includes(wanted),
        )),
  );
  const rows = [...found].sort((a, b) =>
    String(a[order] ?? '').localeCompare(String(b[order] ?? ''), 'en', { numeric: true }),
  );
  const read = async (file: File) => {
    setOffered(null);
    const list = readWires(await file.text());
    const made = list.ok
      ? changesFromRows(list.rows, assemble(job.plan.target, catalogue))
      : { ok: false as const, faults: list.faults };
    setFaults(made.ok ? [] : made.faults);
    if (made.ok) setOffered(made.changes);
  };
  const take = () =>
    change.mutate({ version: job.plan.version, changes: offered! }, { onSuccess: () => setOffered(null) });
  return (
    <Sheet
      place={`${job.quad}, wires`}
      title={`${rows.length} of ${all.length} wires`}
      note="As planned; the state says what is built. Type a part, a pad, a colour or a purpose."
      go={(to) => void navigate(to)}
      doors={[
        { key: 'm', label: 'Wiring', to: jobPlaces(job.id).wiring() },
        { key: 'c', label: 'Write as CSV', act: () => saveFile('wires.csv', writeWires(all), 'text/csv') },
        {
          key: 'd',
          label: 'Drawing as SVG',
          act: () =>
            saveFile(
              'wiring.svg',
              wiringSvg(assemble(job.plan.target, catalogue), `${job.quad}, ${job.title}`),
              'image/svg+xml',
            ),
        },
        {
          key: 'b',
          label: 'Build file',
          act: () =>
            saveFile(
              'build.json',
              `${JSON.stringify(buildFileOf(job.title, job.plan), null, 2)}\n`,
              'application/json',
            ),
        },
        {
          key: 'k',
          label: 'Circuit as SPICE deck',
          act: () => saveFile('circuit.cir', spiceDeckOf(assemble(job.plan.target, catalogue), job.quad), 'text/plain'),
        },
      ]}
    >
      <Tools>
        <div onChange={({ target }) => setTyped((target as HTMLInputElement).value)}>
          <WordsField name="find" label="Find" />
        </div>
        <ChoiceField
          name="kind"
          label="Show"
          options={[
            { value: 'all', label: 'all' },
            { value: 'supply', label: 'supplies' },
            { value: 'ground', label: 'grounds' },
            { value: 'signal', label: 'signals' },
          ]}
          onChange={(value) => setKind(value as Kind)}
        />
        <span />
        <FileField label="Wire list as CSV" accept=".csv,text/csv" onFile={(file) => void read(file)} />
      </Tools>
      <section>
        {offered && (
          <p role="status" style={{ fontSize: 19, padding: '0 0 10px' }}>
            {offered.length === 0 ? (
              'The list says what is planned already.'
            ) : (
              <>
                <strong>{offered.length} wires would change.</strong>{' '}
                <Small type="button" onClick={take}>
                  Plan them so
                </Small>
              </>
            )}
          </p>
        )}
        {change.error && (
          <p role="alert" style={{ fontWeight: 700 }}>
            ▲ The plan was not changed: {change.error.message}
          </p>
        )}
        <CsvFaults label="Faults" refused="list" faults={faults} atMost={12} />
        <Table aria-label="Wires">
          <thead>
            <tr>
              {columns.map(([name, label]) => (
                <th key={name} aria-sort={order === name ? 'ascending' : undefined}>
                  <button type="button" onClick={() => setOrder(name)}>
                    {label}
                    {order === name ? ' ▾' : ''}
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.wire}>
                <td>{row.wire}</td>
                <td>{row.at[0]}</td>
                <td>{row.at[1]}</td>
                <td>{row.awg}</td>
                <td>{row.colour}</td>
                <td>{row.lengthMm === null ? '' : `${row.lengthMm} mm`}</td>
                <td>{row.link}</td>
                <td>{row.state}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </section>
    </Sheet>
  );
}

/** `RX.TX`, "FC.RX3, plug" for a contact, `bare` in the air. */
function endOf({ wire, from, to }: WireRow, end: 0 | 1, target: Assembly): string {
  const { ends } = target.build.wires[wire]!;
  const ref = ends[end].at.on === 'cavity' ? terminalUnder(target, ends[end]) : null;
  if (ref) return `${ref}, plug`;
  if (end === 0) return from;
  return to;
}

function stateOf({ wire }: WireRow, there: Build, target: Build): string {
  const built = there.wires[wire];
  const planned = target.wires[wire]!;
  if (!built) return '○ planned';
  const ends = ([0, 1] as const).map((end) => ({ at: built.ends[end].at, wanted: planned.ends[end].at }));
  const away = ends.some(
    ({ at, wanted }) => at.on === 'terminal' && (wanted.on !== 'terminal' || at.ref !== wanted.ref),
  );
  if (away) return '▲ differs from plan';
  const landed = ends.filter(({ at, wanted }) => at.on !== 'air' || wanted.on === 'air').length;
  if (landed === 2) return '● landed';
  if (built.ends.some(isAttached)) return '◐ one end landed';
  return '○ planned';
}
