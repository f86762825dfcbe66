/**
 * What this tablet has recorded and the server has not acknowledged yet. Kept in the browser's storage, so that a
 * reload, a dead server or a lost connection loses nothing; sent again until it is stored. A repeat is harmless:
 * the server knows each id.
 */
import type { QuadRecord } from '@junctor/core';
import { useSyncExternalStore } from 'react';
import { ApiError, OfflineError, request } from './client';
import { newId } from './device';

interface Batch {
  key: string;
  quadId: string;
  personId: string;
  records: readonly QuadRecord[];
}

interface OutboxState {
  batches: readonly Batch[];
  waiting: number;
  /** Why nothing gets through, in words; null while all is well. */
  trouble: string | null;
  /** What the server refused last; it is not stored anywhere. */
  refused: { message: string; at: number } | null;
  savedAt: number | null;
}

const prefix = 'junctor.outbox.';
const retryMs = 1500;
const listeners = new Set<() => void>();
let state: OutboxState = withBatches(
  { batches: [], waiting: 0, trouble: null, refused: null, savedAt: null },
  stored(),
);
let sending = false;
let onStored: (quadId: string, records: readonly QuadRecord[]) => void = () => {};

/** Sends what an earlier page left, and hands over what the server has stored, with its place in the log. */
export function startOutbox(whenStored: typeof onStored): void {
  onStored = whenStored;
  void send();
  window.addEventListener('online', () => void send());
}

/** Keeps the records, then sends them. They count as recorded from here on. */
export function enqueue(quadId: string, personId: string, records: readonly QuadRecord[]): void {
  const batch: Batch = { key: `${prefix}${newId()}`, quadId, personId, records };
  localStorage.setItem(batch.key, JSON.stringify(batch));
  set(withBatches(state, [...state.batches, batch]));
  void send();
}

export function useOutbox(): OutboxState {
  return useSyncExternalStore(subscribe, () => state);
}

export function dismissRefusal(): void {
  set({ ...state, refused: null });
}

async function send(): Promise<void> {
  if (sending) return;
  sending = true;
  // Batches of somebody who is not signed in wait without holding up the others.
  const othersOwn = new Set<string>();
  const next = () => state.batches.find(({ key }) => !othersOwn.has(key));
  try {
    for (let batch = next(); batch; batch = next()) {
      if (!(await sentAsOwn(batch))) othersOwn.add(batch.key);
    }
    if (othersOwn.size > 0) tryLater('waits until whoever recorded it signs in');
  } catch (error) {
    tryLater((error as Error).message);
  } finally {
    sending = false;
  }
}

function tryLater(trouble: string): void {
  set({ ...state, trouble });
  setTimeout(() => void send(), retryMs);
}

/** False when the server will not take it from the person who is signed in. */
async function sentAsOwn(batch: Batch): Promise<boolean> {
  try {
    await sendOne(batch);
    return true;
  } catch (error) {
    if (error instanceof ApiError && error.status === 403) return false;
    throw error;
  }
}

async function sendOne(batch: Batch): Promise<void> {
  const records = batch.records.map(({ quadId: _quad, seq: _seq, arrivedAt: _arrived, ...sent }) => sent);
  let storedRecords: QuadRecord[] = [];
  try {
    const reply = await request<{ records: { id: string; seq: number; arrivedAt: string }[] }>(
      'POST',
      `/quads/${batch.quadId}/records`,
      { records },
    );
    const placeOf = new Map(reply.records.map((place) => [place.id, place]));
    storedRecords = batch.records.map((record) => ({ ...record, ...placeOf.get(record.id) }));
  } catch (error) {
    // Signed out, or another person's: it waits. Anything else the server will never take.
    if (error instanceof OfflineError || (error instanceof ApiError && (error.status === 401 || error.status === 403)))
      throw error;
    if (!(error instanceof ApiError)) throw error;
    set({ ...state, refused: { message: error.message, at: Date.now() } });
  }
  onStored(batch.quadId, storedRecords);
  localStorage.removeItem(batch.key);
  set(
    withBatches(
      { ...state, trouble: null, savedAt: Date.now() },
      state.batches.filter(({ key }) => key !== batch.key),
    ),
  );
}

function stored(): Batch[] {
  const keys = Object.keys(localStorage)
    .filter((key) => key.startsWith(prefix))
    .sort();
  return keys.map((key) => JSON.parse(localStorage.getItem(key)!) as Batch);
}

function withBatches(before: OutboxState, batches: readonly Batch[]): OutboxState {
  return { ...before, batches, waiting: batches.reduce((sum, { records }) => sum + records.length, 0) };
}

function set(next: OutboxState): void {
  state = next;
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
