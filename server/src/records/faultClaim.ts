/** That a fault is mended, proved or accepted is a claim: it names the records that show it, or comes from a lead. */
import type { FaultEntry, LogState } from '@junctor/core';
import { findEntry, isAct } from '@junctor/core';
import { ApiError } from '../http/ApiError';
import type { Person } from '../session/session';
import type { SentRecord } from '../log/repository';

/** @throws {ApiError} 422 when no record of the quad shows what is claimed; 403 when only a lead may say it. */
export function refuseFaultClaim(log: LogState, role: Person['role'], { body }: SentRecord, index: number): void {
  if (!('saw' in body) || body.saw !== 'fault') return;
  const path = `records.${index}.body.fault`;
  const { state, mendedBy, provedBy, acceptedBecause } = body.fault;
  const shown = (ids: FaultEntry['mendedBy'], wanted: 'act' | 'note') =>
    (ids ?? []).length > 0 &&
    ids!.every((id) => {
      const entry = findEntry(log, id)?.entry;
      return entry !== undefined && isAct(entry.record.body) === (wanted === 'act');
    });
  if ((state === 'mended' || state === 'proved') && !shown(mendedBy, 'act'))
    throw new ApiError(422, 'fault.unmended', 'A fault is mended by what was done: name the records that did it', {
      path: `${path}.mendedBy`,
    });
  if (state === 'proved' && !shown(provedBy, 'note'))
    throw new ApiError(422, 'fault.unproved', 'A fault is proved mended by a reading, a look or power: name them', {
      path: `${path}.provedBy`,
    });
  if (state !== 'accepted') return;
  if (role !== 'lead')
    throw new ApiError(403, 'fault.lead', 'Only a lead leaves a fault as it is', { path: `${path}.state` });
  if (!acceptedBecause)
    throw new ApiError(422, 'fault.reason', 'Say why it may stay as it is', { path: `${path}.acceptedBecause` });
}
