/** That a fault is mended, proved or accepted is a claim: it names the records that show it, or comes from a lead. */
import type { FaultEntry, LogState, NoteOf } from '@junctor/core';
import { findEntry, idsOf, mendingOf, provingOf } from '@junctor/core';
import { ApiError } from '../http/ApiError';
import type { Person } from '../session/session';
import type { SentRecord } from '../log/repository';

/** @throws {ApiError} 422 when no record of the quad shows what is claimed; 403 when only a lead may say it. */
export function refuseFaultClaim(
  log: LogState,
  role: Person['role'],
  { body, replaces }: SentRecord,
  index: number,
): void {
  if (!('saw' in body) || body.saw !== 'fault') return;
  const path = `records.${index}.body.fault`;
  const { state, mendedBy, provedBy, acceptedBecause } = body.fault;
  const { mending, proving } = whatShows(log, replaces);
  const shown = (ids: FaultEntry['mendedBy'], by: ReadonlySet<string>) =>
    (ids ?? []).length > 0 && ids!.every((id) => by.has(id));
  if ((state === 'mended' || state === 'proved') && !shown(mendedBy, mending))
    throw new ApiError(422, 'fault.unmended', 'A fault is mended by what was done: name the records that did it', {
      path: `${path}.mendedBy`,
    });
  if (state === 'proved' && !shown(provedBy, proving))
    throw new ApiError(422, 'fault.unproved', 'A fault is proved mended by a reading, a look or power: name them', {
      path: `${path}.provedBy`,
    });
  if (state !== 'accepted') return;
  if (role !== 'lead')
    throw new ApiError(403, 'fault.lead', 'Only a lead leaves a fault as it is', { path: `${path}.state` });
  if (!acceptedBecause)
    throw new ApiError(422, 'fault.reason', 'Say why it may stay as it is', { path: `${path}.acceptedBecause` });
}

/** The records that can have mended a fault, and those that can show it. */
function whatShows(log: LogState, replaces: string | undefined): Record<'mending' | 'proving', ReadonlySet<string>> {
  const entry = replaces === undefined ? undefined : findEntry(log, replaces)?.entry;
  const body = entry?.record.body;
  if (!body || !('saw' in body) || body.saw !== 'fault') return { mending: new Set(), proving: new Set() };
  const fault = entry as NoteOf<'fault'>;
  return { mending: new Set(idsOf(mendingOf(fault, log))), proving: new Set(idsOf(provingOf(fault, log))) };
}
