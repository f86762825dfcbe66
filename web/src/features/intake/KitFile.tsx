/** The kit as a file: written for whoever picks it, read back with what was counted. */
import { CsvFaults } from '../../ui/CsvFaults';
import { notesOf, pickFor, takesFor } from '@junctor/core';
import { useState } from 'react';
import { FileField } from '../../ui/form';
import { useParts, useStock } from '../../api/stores';
import { saveFile } from '../../files/saveFile';
import { Small } from '../../ui/Small';
import type { Bench } from '../../bench/provider/bench';
import type { CsvFault } from '../../files/csvRows';
import { readKit, writeKit } from '../../files/stockCsv';
import { Words } from '../../ui/layout';

export function KitFile({ bench }: { bench: Bench }) {
  const [faults, setFaults] = useState<readonly CsvFault[]>([]);
  const stock = useStock().data ?? [];
  const inShop = (useParts('').data ?? []).filter(({ onQuad }) => onQuad === null);
  const [message, setMessage] = useState<string | null>(null);
  const steps = bench.state.steps.filter((step) => step.verb === 'count');
  if (steps.length === 0) return null;
  const counted = new Map(
    notesOf(bench.state.log, 'kit')
      .filter(({ record }) => record.jobId === bench.job.id)
      .map(({ record }) => [record.body.line, record.body.have]),
  );
  const take = async (file: File) => {
    setMessage(null);
    const read = readKit(
      await file.text(),
      steps.map(({ line }) => line),
    );
    setFaults(read.ok ? [] : read.faults);
    if (!read.ok) return;
    bench.recordEach(
      read.rows.map(({ key, counted: have }) => {
        const step = steps.find(({ subject }) => subject === key)!;
        // What was counted before has left the stores already.
        const pick = counted.has(key) ? null : pickFor(step.line, stock, inShop);
        return {
          step: step.id,
          body: {
            saw: 'kit',
            line: key,
            wanted: step.line.needed,
            have,
            takes: pick ? takesFor(pick, have) : [],
            parts: pick?.parts ?? [],
          },
        };
      }),
    );
    setMessage(`${read.rows.length} lines counted in`);
  };
  return (
    <>
      <h2>Kit</h2>
      <Words>
        {steps.filter(({ done }) => done).length} of {steps.length} lines are on the table
        {steps.some(({ blockedReason }) => blockedReason)
          ? `, ${steps.filter(({ blockedReason }) => blockedReason).length} short`
          : ''}
        .
      </Words>
      <Small
        type="button"
        onClick={() =>
          saveFile(
            'kit.csv',
            writeKit(steps.map(({ line }) => ({ ...line, counted: counted.get(line.key) ?? null }))),
            'text/csv',
          )
        }
      >
        Write the kit as CSV
      </Small>
      <FileField label="Counted kit as CSV" accept=".csv,text/csv" onFile={(file) => void take(file)} />
      {message && <Words role="status">{message}</Words>}
      <CsvFaults label="Kit faults" refused="file" faults={faults} atMost={20} />
    </>
  );
}
