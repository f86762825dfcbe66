/** What is said under a landing while its ring walks. */
import type { RebasedPlan } from '@junctor/core';
import type { WalkedEnd } from './landings';

/** A plan may pass through what does not work yet; power stays closed meanwhile. What would kill is not planned. */
export function objectionTo({ planned }: WalkedEnd, moved: boolean, offer: RebasedPlan | null): string | null {
  if (moved && !planned) return 'It comes off: the plan has no place for it';
  const [worst] = offer?.objections ?? [];
  return worst?.severity === 'kill' ? worst.message : null;
}

interface Standing {
  objection: string | null;
  worst: string | null;
  failed: string | null;
  changes: number;
}

export function underLine(
  { planned, now, plugged }: WalkedEnd,
  { objection, worst, failed, changes }: Standing,
): string {
  if (failed) return `The plan was not changed: ${failed}`;
  if (objection) return planned ? `Not there: ${objection}` : objection;
  if (worst) return `It would not work yet: ${worst}`;
  if (changes > 1) return 'No rule objects. The wire that was planned there takes the freed pad.';
  if (changes === 1)
    return now ? 'No rule objects. It is soldered already: it will have to be moved.' : 'No rule objects.';
  if (!planned) return 'It came in with the quad. Is it really there? Arrows move the ring, − and + choose the wire.';
  if (plugged) return `A contact of a plug${now ? ', mated already' : ''}. − and + choose the wire.`;
  return now
    ? 'Soldered already. Arrows move the ring, − and + choose the wire.'
    : 'Arrows move the ring, − and + choose the wire. Rules judge at once.';
}
