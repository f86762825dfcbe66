/** One batch to the server, and what its answer means for it. */
import type { Refusal } from '@junctor/core';
import { ApiError, NotNowError, OfflineError, request } from '../client';
import type { Place, Sender, Sent } from './types';

export const sendBatch: Sender = async ({ quadId, hand, records: kept }) => {
  const records = kept.map(({ quadId: _quad, seq: _seq, arrivedAt: _arrived, ...sent }) => sent);
  try {
    const path = `/quads/${encodeURIComponent(quadId)}/records`;
    const reply = await request<{ records: readonly Place[] }>('POST', path, { records, ...(hand ? { hand } : {}) });
    return { is: 'stored', places: reply.records };
  } catch (error) {
    return meaningOf(error);
  }
};

function meaningOf(error: unknown): Sent {
  if (error instanceof NotNowError) {
    // The server is up and broke on this; any other 5xx says that it is not up yet.
    if (error.status === 500) return { is: 'failed', why: error.message };
    return { is: 'later', why: error.message, ...(error.afterMs ? { afterMs: error.afterMs } : {}) };
  }
  if (error instanceof OfflineError) return { is: 'later', why: error.message };
  if (!(error instanceof ApiError)) return { is: 'failed', why: String(error) };
  if (error.status === 401) return { is: 'sign in', why: 'sign in to send it' };
  if (error.refusal.code === 'record.person') return { is: 'not theirs' };
  return { is: 'refused', message: wordsOf(error.refusal) };
}

/** With the first mistakes of a form, where the server names them. */
function wordsOf({ message, context }: Refusal): string {
  const { mistakes = [] } = (context ?? {}) as { mistakes?: readonly { path: string; message: string }[] };
  return [message, ...mistakes.slice(0, 2).map((mistake) => `${mistake.path}: ${mistake.message}`)].join('; ');
}
