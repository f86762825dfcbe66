/** A record as it is made on this tablet, before the server has given it its place. */
import type { Act, Note, QuadRecord } from '@junctor/core';
import { deviceId, newId } from './device';

type Given = Pick<QuadRecord, 'quadId' | 'jobId' | 'personId' | 'planVersion' | 'basisSeq' | 'doneAt' | 'how'> &
  Partial<Pick<QuadRecord, 'step' | 'shownAt' | 'replaces'>>;

export function newRecord(body: Act | Note, { step = null, shownAt = null, ...given }: Given): QuadRecord {
  return { ...given, id: newId(), deviceId: deviceId(), seq: null, arrivedAt: null, step, shownAt, body };
}
