/**
 * The one place where a log is walked: the next state from the last, a record at a time. A correction goes back to the
 * state before what it corrects and comes forward again from there.
 */
import { applyAct } from '../assembly/applyAct';
import { assemble } from '../assembly/assembly';
import type { Assembly } from '../assembly/assembly';
import { emptyBuild } from '../assembly/build';
import type { Catalogue } from '../catalogue/catalogue';
import { jointsOf, touchedBy } from '../wiring/touchedBy';
import type { TerminalRef } from '../terms/names';
import type { Act } from '../assembly/act';
import type { Entry, LogState, NoteKind } from './logState';
import { subjectOf } from './noteSubject';
import { asJudged } from './judged';
import { afterPermits } from './permits';
import type { Note, QuadRecord } from './records';
import { isAct } from './records';

/** The log before its first record, on an aircraft that is there already or on nothing. */
export function emptyLog(catalogue: Catalogue, asBuilt: Assembly = assemble(emptyBuild, catalogue)): LogState {
  return {
    asBuilt,
    acts: [],
    notes: {},
    lastSeq: 0,
    livePermits: [],
    unpermitted: new Set(),
    storedSeq: 0,
    last: null,
    replaced: new Set(),
    withdrawn: [],
    undone: [],
  };
}

/**
 * The state after one more record. One without a seq (kept on a tablet, not stored yet) counts as the next.
 * A correction of a record that is not in the log stands by itself; a second correction of one record changes nothing.
 * Where the server has judged a record, that holds.
 * @throws {RangeError} If a part is fitted whose model the catalogue lacks.
 */
export function advance(state: LogState, sent: QuadRecord): LogState {
  const record = asJudged(sent);
  const seq = record.seq ?? state.lastSeq + 1;
  const next = effectOf(state, record, seq);
  return {
    ...next,
    ...afterPermits(state, record),
    lastSeq: Math.max(state.lastSeq, seq),
    storedSeq: Math.max(state.storedSeq, record.seq ?? 0),
  };
}

function effectOf(state: LogState, record: QuadRecord, seq: number): LogState {
  if (!record.replaces) return withEntry(state, { record, placeSeq: seq, madeSeq: seq });
  // Not in effect, and so is whatever would correct it.
  if (state.replaced.has(record.replaces)) return { ...state, replaced: new Set(state.replaced).add(record.id) };
  const replaced = new Set(state.replaced).add(record.replaces);
  // Back along the entries to the one in question, keeping what came after it.
  const later: Entry[] = [];
  for (let at = state; at.last; at = at.last.before) {
    const { entry, before } = at.last;
    if (entry.record.id === record.replaces) {
      const corrected = { record, placeSeq: entry.placeSeq, madeSeq: seq };
      return {
        ...later.reduceRight(withEntry, withEntry(before, corrected)),
        replaced,
        ...unsaid(state, { entry, before }, { record, seq }),
      };
    }
    later.push(entry);
  }
  return withEntry(state, { record, placeSeq: seq, madeSeq: seq });
}

/** What a correction leaves of what it corrects. */
function unsaid(
  state: LogState,
  { entry, before: { asBuilt: then } }: { entry: Entry; before: LogState },
  { record: { id: by, body }, seq }: { record: QuadRecord; seq: number },
): Pick<LogState, 'withdrawn' | 'undone'> {
  const { withdrawn, undone } = state;
  if (isAct(entry.record.body)) {
    const act = state.acts.find(({ record: { id } }) => id === entry.record.id);
    return { withdrawn, undone: act ? [...undone, { ...act, madeSeq: seq }] : undone };
  }
  const takenBack = 'saw' in body && body.saw === 'taken back';
  return { withdrawn: [...withdrawn, { entry: entry as Entry<Note>, by, seq, then, takenBack }], undone };
}

function withEntry(state: LogState, entry: Entry): LogState {
  const { body } = entry.record;
  const after = { ...state, last: { entry, before: state } };
  if (isAct(body)) return withAct(after, entry as Entry<Act>);
  // What was taken back keeps its place, so that it can be put back, and leaves nothing.
  return body.saw === 'taken back' ? after : withNote(after, entry as Entry<Note>);
}

function withAct(state: LogState, entry: Entry<Act>): LogState {
  const { body } = entry.record;
  const asBuilt = applyAct(state.asBuilt, body);
  let known: ReadonlySet<TerminalRef> | null = null;
  const touched = () => (known ??= touchedBy(body, state.asBuilt, asBuilt));
  const joints = asBuilt === state.asBuilt ? [] : jointsOf(body);
  return { ...state, asBuilt, acts: [...state.acts, { ...entry, touched, joints }] };
}

function withNote(state: LogState, entry: Entry<Note>): LogState {
  const kind: NoteKind = entry.record.body.saw;
  const subject = subjectOf(entry.record.body);
  const known = state.notes[kind] ?? { all: [], about: new Map() };
  const about = new Map(known.about).set(subject, [...(known.about.get(subject) ?? []), entry]);
  return { ...state, notes: { ...state.notes, [kind]: { all: [...known.all, entry], about } } };
}
