/** A signed layout is a claim: what the server finds must have been said, and a lead lets in what does not fit. */
import type { Catalogue, LogState, Plan } from '@junctor/core';
import {
  assemble,
  layoutBasis,
  layoutNote,
  layoutOf,
  layoutPicture,
  leftOpen,
  measuredIn,
  notesOf,
} from '@junctor/core';
import { ApiError } from '../http/ApiError';
import type { SentRecord } from '../log/repository';
import type { Person } from '../session/session';

/**
 * Only of what lies where the plan says: another layout counts for nothing, and a plan that leaves parts open is not
 * searched here.
 * @throws {ApiError} 422 when a margin does not hold that the record does not name, or no lead has said why it goes in,
 * or no picture shows what is not known.
 */
export function refuseLayoutClaim(
  { plan, catalogue, log }: { plan: Plan; catalogue: Catalogue; log: LogState },
  role: Person['role'],
  { body, jobId }: SentRecord,
  index: number,
): void {
  if (!('saw' in body) || body.saw !== 'layout' || body.basis !== layoutBasis(plan.target)) return;
  const path = `records.${index}.body`;
  if (body.no.length > 0 && (role !== 'lead' || !body.reason))
    throw new ApiError(422, 'layout.refused', 'Only a lead lets in what does not fit, and says why', { path });
  const target = assemble(plan.target, catalogue);
  const layout = layoutOf(target, new Map(), measuredIn(notesOf(log, 'gap'), target));
  if (!layout || leftOpen(layout.laid).length > 0) return;
  const unknown = layout.margins.find(({ verdict }) => verdict === 'not known');
  const shown = layoutPicture(log, jobId, body.basis);
  if (unknown && (!shown || body.pictured !== shown))
    throw new ApiError(422, 'layout.picture', `Not known: ${unknown.says}. A picture of it is wanted first`, {
      path: `${path}.pictured`,
    });
  const unsaid = layoutNote(plan.target, layout.margins).no.find((says) => !body.no.includes(says));
  if (unsaid) throw new ApiError(422, 'layout.otherwise', `It does not fit: ${unsaid}`, { path: `${path}.no` });
}
