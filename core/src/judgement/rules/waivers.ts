/**
 * Waivers: what a rule says may stay as it is in this job, by whom and why. What destroys hardware is waived by nobody,
 * what will not work by a lead, what works badly by anyone. A waiver covers its finding only while it is no worse than
 * it was.
 */
import type { LogState, NoteOf } from '../../facts/log/logState';
import type { Id } from '../../facts/terms/names';
import { notesOf } from '../../facts/log/notesOf';
import type { Finding } from './finding';

export interface Waived {
  finding: Finding;
  waiver: NoteOf<'waiver'>;
}

/** Findings that hold and findings waived in this job, each list in the order given. */
export function splitWaived(
  findings: readonly Finding[],
  log: LogState,
  jobId: Id,
): { open: Finding[]; waived: Waived[] } {
  const waivers = notesOf(log, 'waiver').filter(({ record }) => record.jobId === jobId);
  const open: Finding[] = [];
  const waived: Waived[] = [];
  for (const finding of findings) {
    const waiver = waivers.findLast(
      ({ record: { body } }) => body.finding === finding.key && covers(body.severity, finding),
    );
    if (waiver) waived.push({ finding, waiver });
    else open.push(finding);
  }
  return { open, waived };
}

function covers(severity: 'stop' | 'warn', finding: Finding): boolean {
  return finding.severity === 'warn' || (finding.severity === 'stop' && severity === 'stop');
}

/** Why this person cannot waive it, in words; null when they can. */
export function waiverObjection({ severity }: Pick<Finding, 'severity'>, role: 'technician' | 'lead'): string | null {
  if (severity === 'kill') return 'It would destroy hardware: nobody can waive that';
  if (severity === 'stop' && role !== 'lead') return 'It will not work: only a lead can waive that';
  return null;
}
