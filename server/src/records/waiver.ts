/** Who may waive what: judged on the log as it stands under the quad's lock, whatever the tablet believed. */
import type { JobInput } from '@junctor/core';
import { deriveJob, judge, severities, waiverObjection, assemble } from '@junctor/core';
import { ApiError } from '../http/ApiError';
import type { Person } from '../session/session';
import type { SentRecord } from '../log/repository';

/**
 * @throws {ApiError} 422 when no rule says what is to be waived, it is worse than told, or this person cannot waive it.
 */
export function refuseWaiver(
  { plan, catalogue, log, list }: Omit<JobInput, 'jobId'>,
  role: Person['role'],
  { jobId, body }: SentRecord,
  index: number,
): void {
  if (!('saw' in body) || body.saw !== 'waiver') return;
  const path = `records.${index}.body.finding`;
  const state = deriveJob({ jobId, plan, log, catalogue, list });
  const said = [
    ...state.findings,
    ...state.waived.map(({ finding }) => finding),
    ...judge(assemble(plan.target, catalogue), plan.links, plan.cells),
  ].filter(({ key }) => key === body.finding);
  const worst = severities.find((severity) => said.some((finding) => finding.severity === severity));
  if (!worst) throw new ApiError(422, 'waiver.nothing', 'No rule says that now: there is nothing to waive', { path });
  const objection =
    waiverObjection({ severity: worst }, role) ??
    (worst === 'stop' && body.severity === 'warn' ? 'It is worse than the waiver says: it will not work' : null);
  if (objection) throw new ApiError(422, 'waiver.refused', objection, { path });
}
