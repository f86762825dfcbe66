/** What must be closed before a quad is handed over: faults, what the customer said, points left open. */
import type { LogState, NoteOf } from '../../facts/log/logState';
import { notesOf } from '../../facts/log/notesOf';
import type { Id } from '../../facts/terms/names';

export type MatterKind = 'fault' | 'symptom' | 'open point';
export type Matter = NoteOf<MatterKind>;

/** The fault of this record as it stands now; null when it was taken back. */
export function findFault(log: LogState, id: Id): NoteOf<'fault'> | null {
  return notesOf(log, 'fault').find(({ record }) => record.id === id) ?? null;
}

/** Matters that a job has to close: its own, and faults and points that an earlier one left open. */
export function mattersOf(log: LogState, jobId: Id): Matter[] {
  const kinds: readonly MatterKind[] = ['fault', 'symptom', 'open point'];
  const all = kinds.flatMap((kind): readonly Matter[] => notesOf(log, kind));
  return all.filter((matter) => matter.record.jobId === jobId || (!isClosed(matter) && isLeftOver(matter)));
}

/** What a customer said in an earlier job is not asked again. */
function isLeftOver({ record: { body } }: Matter): boolean {
  return body.saw === 'open point' ? body.state === 'open' : body.saw === 'fault' && body.fault.state === 'found';
}

export function isClosed({ record: { body } }: Matter): boolean {
  switch (body.saw) {
    case 'fault':
      return body.fault.state === 'proved' || body.fault.state === 'accepted';
    case 'symptom':
      return body.answer !== null;
    case 'open point':
      return body.state !== 'open';
  }
}

/** The matter in a few words. */
export function matterWords({ record: { body } }: Matter): string {
  switch (body.saw) {
    case 'fault':
      return body.fault.symptom;
    case 'symptom':
      return body.words;
    case 'open point':
      return body.text;
  }
}
