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
import type { DataColumn } from '../../ui/DataTable';
import { DataTable } from '../../ui/DataTable';
import { narrow } from '../../ui/theme';
import { Sheet } from '../../ui/Sheet';
import { Small } from '../../ui/Small';
import { useBench } from '../../bench/provider/useBench';
import { readWires, writeWires } from '../../files/wireCsv';
import type { WireKind } from './wireKind';
import { kindOf } from './wireKind';
import { Alarm, Words } from '../../ui/layout';

const Tools = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 300px) minmax(0, 1fr) auto minmax(0, 280px);
  @media ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
  gap: 20px;
  align-items: end;
  padding: 0 24px 10px;
`;
type Kind = 'all' | WireKind;
/** With both ends as they are called, also under a plug. */
type Shown = WireRow & { state: string; kind: Kind; at: readonly [from: string, to: string] };
const columns: readonly DataColumn<Shown>[] = [
  { id: 'wire', name: 'Wire', by: ({ wire }) => wire, cell: ({ wire }) => wire },
  { id: 'from', name: 'From', by: ({ at }) => at[0], cell: ({ at }) => at[0] },
  { id: 'to', name: 'To', by: ({ at }) => at[1], cell: ({ at }) => at[1] },
  { id: 'awg', name: 'AWG', by: ({ awg }) => awg, cell: ({ awg }) => awg },
  { id: 'colour', name: 'Colour', by: ({ colour }) => colour, cell: ({ colour }) => colour },
  {
    id: 'length',
    name: 'Length',
    by: ({ lengthMm }) => lengthMm ?? 0,
    cell: ({ lengthMm }) => (lengthMm === null ? '' : `${lengthMm} mm`),
  },
  { id: 'link', name: 'For', by: ({ link }) => link, cell: ({ link }) => link },
  { id: 'state', name: 'State', by: ({ state }) => state, cell: ({ state }) => state },
];

export function WiresPage() {
  const bench = useBench();
  const navigate = useNavigate();
  const { job, catalogue, state } = bench;
  const change = useChangePlan(job.id);
  const [typed, setTyped] = useState('');
  const [kind, setKind] = useState<Kind>('all');
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
      title={`${found.length} of ${all.length} wires`}
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
        <WordsField name="find" label="Find" onChange={setTyped} />
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
          <Words role="status">
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
          </Words>
        )}
        {change.error && <Alarm>The plan was not changed: {change.error.message}</Alarm>}
        <CsvFaults label="Faults" refused="list" faults={faults} atMost={12} />
        <DataTable
          label="Wires"
          columns={columns}
          items={found}
          idOf={({ wire }) => wire}
          empty="No wire is like that."
          sortedBy="wire"
        />
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
