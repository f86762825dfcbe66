/** The permit for limited power, and what stands against one. */
import type { LogState } from '../../facts/log/logState';
import { notesOf, ofJob } from '../../facts/log/notesOf';
import type { QuadRecord } from '../../facts/log/records';
import type { Id } from '../../facts/terms/names';
import { standingShort } from '../../judgement/checks/standingShort';
import { openFaults } from './faults';
import type { Finding } from '../../judgement/rules/finding';

/**
 * The job's permit that holds now, or null: none does while a fault is open, a short stands between the main leads or
 * when the plan has changed since.
 */
export function validPermit(log: LogState, jobId: Id, planVersion: number): QuadRecord | null {
  const permit = notesOf(log, 'permit').findLast(ofJob(jobId));
  if (!permit || permit.record.planVersion !== planVersion || openFaults(log).length > 0) return null;
  if (standingShort(log)) return null;
  return log.livePermits.includes(permit.record.id) ? permit.record : null;
}

/** A step as far as a permit looks at it, with its sentence. */
interface Sayable {
  done: boolean;
  blockedReason: string | null;
  sentence: string;
}

/**
 * Why limited power may not be given now, in words, in the order in which to clear it; empty when a permit may be made.
 * Everything before the permit must be done, no fault unmended, no stop or kill open.
 */
export function powerObjections(before: readonly Sayable[], findings: readonly Finding[]): string[] {
  const open = before.filter(({ done }) => !done);
  return [
    ...open.map(({ blockedReason, sentence }) => (blockedReason ? `${sentence}: ${blockedReason}` : sentence)),
    ...findings.filter(({ severity }) => severity !== 'warn').map(({ message }) => message),
  ];
}
