/** What a log amounts to up to one of its records. Made by `advance` alone; immutable. */
import type { Act } from '../assembly/act';
import type { Assembly } from '../assembly/assembly';
import type { Id, TerminalRef } from '../terms/names';
import type { Note, QuadRecord } from './records';
import type { Withdrawn } from './withdrawn';

/** A record as it holds now: the last of its chain of corrections, in the place of the first. */
export interface Entry<Body extends Act | Note = Act | Note> {
  record: QuadRecord & { body: Body };
  /** Place in the order of the fold: that of the first record of the chain. */
  placeSeq: number;
  /** When it counts as made: the seq of the last correction. */
  madeSeq: number;
}

/** One act with what it touched. */
export interface ActEntry extends Entry<Act> {
  /**
   * Every terminal on the nets it changed, before and after. Worked out when it is first asked for: most acts come
   * before any note that could stand on them.
   */
  touched(): ReadonlySet<TerminalRef>;
  /** Joints (`W12.b`) soldered, heated or freed by it. */
  joints: readonly string[];
}

export type NoteKind = Note['saw'];
export type NoteOf<S extends NoteKind> = Entry<Extract<Note, { saw: S }>>;

export interface NotesOfKind {
  /** Oldest first. */
  all: readonly Entry<Note>[];
  /** The same by what they are about. */
  about: ReadonlyMap<string, readonly Entry<Note>[]>;
}

export interface LogState {
  readonly asBuilt: Assembly;
  readonly acts: readonly ActEntry[];
  readonly notes: Readonly<Partial<Record<NoteKind, NotesOfKind>>>;
  readonly lastSeq: number;
  /** The last seq that the server has given: what whoever looks at this has seen of others. */
  readonly storedSeq: number;
  /** Permits that hold as things stand. */
  readonly livePermits: readonly Id[];
  /** Powers that no permit held for when they were recorded. */
  readonly unpermitted: ReadonlySet<Id>;
  /** What the last entry is, and the state before it; null at the empty log. */
  readonly last: { entry: Entry; before: LogState } | null;
  /**
   * Records not in effect: a correction took their place, or they would have corrected what one had replaced before.
   */
  readonly replaced: ReadonlySet<Id>;
  /** Notes that were taken back or corrected, oldest first. */
  readonly withdrawn: readonly Withdrawn[];
  /** Acts that were taken back or corrected, as made when that was said. */
  readonly undone: readonly ActEntry[];
}
