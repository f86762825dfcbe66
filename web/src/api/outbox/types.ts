/**
 * What the outbox is made of and what it is given: storage, clock and sender, so that it can be tried without a
 * browser.
 */
import type { Judged, QuadRecord } from '@junctor/core';

/** Records of one quad that were made together and are stored together. */
export interface Batch {
  key: string;
  quadId: string;
  personId: string;
  /** The name of whoever recorded it; missing in what an older page has kept. */
  person?: string;
  /** Proves whose it is when somebody else is signed in by then. */
  hand?: string | null;
  records: readonly QuadRecord[];
}

/** A batch that the server will not take, with its reason. It is kept until somebody has looked at it. */
export interface RefusedBatch extends Batch {
  message: string;
  /** When it was refused, in milliseconds of the clock. */
  at: number;
}

/** Something in the storage that cannot be read. It is left where it is. */
export interface Damaged {
  key: string;
  text: string;
}

export interface OutboxState {
  /** In the order in which they were recorded. */
  batches: readonly Batch[];
  /** Records in them. */
  waiting: number;
  /** Why nothing, or not everything, gets through, in words; null while all is well. */
  trouble: string | null;
  /** Keys of batches on which the server failed again and again; the others go before them. */
  aside: ReadonlySet<string>;
  refused: readonly RefusedBatch[];
  damaged: readonly Damaged[];
  /** Keys of batches that this page alone holds: the browser's storage did not take them. */
  unkept: ReadonlySet<string>;
  savedAt: number | null;
}

/** The browser's storage, as far as it is used; each may throw. */
export interface KeyStore {
  keys: () => readonly string[];
  get: (key: string) => string | null;
  set: (key: string, text: string) => void;
  remove: (key: string) => void;
}

export interface Clock {
  nowMs: () => number;
  /** Runs something later, once; returns how to call it off. */
  after: (ms: number, run: () => void) => () => void;
}

export interface Place {
  id: string;
  seq: number;
  arrivedAt: string;
  /** What the server found of it, where that is not what was sent. */
  judged?: Judged;
}

/** What became of a batch that was sent. */
export type Sent =
  | { is: 'stored'; places: readonly Place[] }
  /** No answer, or not now: it may be sent again, after a while that the server may have named. */
  | { is: 'later'; why: string; afterMs?: number }
  /** The server broke on it: perhaps by chance, perhaps by what is in it. */
  | { is: 'failed'; why: string }
  | { is: 'sign in'; why: string }
  /** The server does not take it from whoever is signed in. */
  | { is: 'not theirs' }
  | { is: 'refused'; message: string };

export type Sender = (batch: Batch) => Promise<Sent>;
