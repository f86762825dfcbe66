/** What must hold before limited first power: cautions said since the last act, the pack, the permit. */
import type { Build } from '../../facts/assembly/build';
import type { FoldedLog } from '../../facts/log/fold';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { Id, Range } from '../../facts/terms/names';
import { packVolts } from '../../facts/terms/names';
import { inOrder } from '../../facts/log/corrections';
import type { NoteOf } from '../../facts/log/notesOf';
import { notesOf } from '../../facts/log/notesOf';
import type { Note, QuadRecord } from '../../facts/log/records';
import { isAct } from '../../facts/log/records';
import { modelIn } from '../../facts/assembly/lookUp';

/** Checklist lines of this build, by id; each is a caution to be said at the bench. */
export function checklist(target: Build, catalogue: Catalogue): string[] {
  const transmitters = Object.keys(target.slots).filter((slot) =>
    ['receiver', 'video unit'].includes(modelIn(target, slot, catalogue)?.kind ?? ''),
  );
  return [
    'propellers off',
    ...transmitters.map((slot) => `antenna on ${slot}`),
    'ventilated',
    'fire-safe surface',
    'eye protection',
  ];
}

/** What is wrong with a measured pack, in words; null when it may be used. */
export function packObjection(body: Extract<Note, { saw: 'pack' }>, cells: Range): string | null {
  const [low, high] = packVolts(cells);
  if (body.polarity === 'reversed') return 'The pack is reversed at the plug';
  if (body.volts > high) return `${body.volts} V is more than ${cells[1]} cells give (${high.toFixed(1)} V)`;
  if (body.volts < low) return `${body.volts} V is less than ${cells[0]} cells may have (${low.toFixed(1)} V)`;
  return null;
}

/** Faults that nobody has mended or accepted yet. */
export function openFaults(log: FoldedLog): NoteOf<'fault'>[] {
  return notesOf(log, 'fault').filter(({ record }) => record.body.fault.state === 'found');
}

/**
 * The permit that holds now, or null. It is for one power-up: it dies with that power record, with any later act,
 * correction, stop reading or stop power, while a fault is open, and when the plan has changed since.
 */
export function validPermit(records: readonly QuadRecord[], log: FoldedLog, planVersion: number): QuadRecord | null {
  const permit = notesOf(log, 'permit').at(-1);
  if (!permit || permit.record.planVersion !== planVersion || openFaults(log).length > 0) return null;
  return permitHolds(records, permit.record.id, Infinity) ? permit.record : null;
}

/** Powered without a permit that held at that moment. */
export function unpermittedPowers(records: readonly QuadRecord[], log: FoldedLog): NoteOf<'power'>[] {
  return notesOf(log, 'power').filter(({ record, madeSeq }) => {
    const { permit, stage } = record.body;
    if (stage === 'off') return false;
    return permit === null || !permitHolds(records, permit, madeSeq);
  });
}

function permitHolds(records: readonly QuadRecord[], permit: Id, beforeSeq: number): boolean {
  const ordered = inOrder(records);
  const start = ordered.find(({ record }) => record.id === permit);
  if (!start || !('saw' in start.record.body) || start.record.body.saw !== 'permit') return false;
  const later = ordered.filter(({ seq }) => seq > start.seq && seq < beforeSeq);
  const lateAct = ordered.some(
    ({ record, seq }) => seq < beforeSeq && isAct(record.body) && record.doneAt > start.record.doneAt,
  );
  return start.seq < beforeSeq && !lateAct && !later.some(({ record }) => voids(record));
}

function voids({ body, replaces }: QuadRecord): boolean {
  if (replaces !== undefined || isAct(body)) return true;
  if (body.saw === 'reading') return body.reading.verdict === 'stop';
  if (body.saw === 'fault') return body.fault.state === 'found';
  return body.saw === 'power' || body.saw === 'taken back';
}
