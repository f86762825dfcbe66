/**
 * How long a wire is cut: its run, slack so that boards can be lifted, the way out of each pad, twist, and what is
 * stripped; up to the next 5 mm, since short cannot be mended.
 */
import { lookUp } from '../../facts/terms/lookUp';

/** Slack for lifting boards, by school; in mm. */
const slackSchools = { short: 15, usual: 30, generous: 50 } as const;

/** Wires leave a pad flat, before they bend to their way. */
const exitMm = 4;
/** Length of a twisted pair over its run: sqrt(1 + (pi d / pitch)^2) at a pitch of some ten diameters. */
const twistedBy = Math.sqrt(1 + (Math.PI / 10) ** 2);
const stepMm = 5;

export interface CutParts {
  runMm: number;
  slackMm: number;
  exitMm: number;
  twistMm: number;
  stripMm: number;
  /** Rounded up. */
  mm: number;
}

/** What a way takes of a wire that is not stripped yet. */
export function alongMm(runMm: number, slackMm: number = slackSchools.usual): number {
  return runMm + slackMm + 2 * exitMm;
}

/** @param isTwisted With others of its bundle. @param stripMm At both ends together. */
export function cutLength(
  runMm: number,
  { school, isTwisted, stripMm }: { school: string; isTwisted: boolean; stripMm: number },
): CutParts {
  const slackMm = lookUp(slackSchools as Readonly<Record<string, number>>, school) ?? slackSchools.usual;
  const along = alongMm(runMm, slackMm);
  const twistMm = isTwisted ? along * (twistedBy - 1) : 0;
  const mm = Math.ceil((along + twistMm + stripMm) / stepMm - 1e-9) * stepMm;
  return { runMm, slackMm, exitMm: 2 * exitMm, twistMm, stripMm, mm };
}
