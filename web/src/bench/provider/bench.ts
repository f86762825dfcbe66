/** What the screens of one job work with: what is known, and how something is recorded. */
import type {
  Act,
  Assembly,
  Catalogue,
  JobSheet,
  JobState,
  Meter,
  Note,
  QuadRecord,
  StepId,
  TouchesReply,
} from '@junctor/core';
import type { NamedRecord, Person, Tool } from '../../api/types';

export interface Bench extends Recorder {
  job: JobSheet;
  person: Person;
  records: readonly NamedRecord[];
  catalogue: Catalogue;
  state: JobState;
  meter: Meter;
  limiters: readonly Tool[];
  /** How far the list of touches is, while it is worked out. */
  listing: TouchesReply['at'];
  /** The quad as it was when a record was made; as it is where the log does not hold the record any more. */
  before: (record: string) => Assembly;
}

export interface Recorder {
  /** Keeps one or more things at once, as done at this step, or as found. */
  record: (bodies: readonly (Act | Note)[], step: StepId | null, replaces?: string, how?: QuadRecord['how']) => void;
  /** The same for several steps at once. */
  recordEach: (
    list: readonly { body: Act | Note; step: StepId | null }[],
    replaces?: string,
    how?: QuadRecord['how'],
  ) => void;
}
