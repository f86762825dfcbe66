/** A power-up that did not end well, until something is done about it. */
import type { NoteOf } from '../../facts/log/logState';
import { invalidatedBy, standsOnAll } from '../../facts/log/stale';
import type { ExpectedSign } from '../../judgement/diagnosis/missingSigns';
import { meaningOfHeat, meaningOfMissing } from '../../judgement/diagnosis/missingSigns';
import type { Assembly } from '../../facts/assembly/assembly';
import { netlist } from '../../facts/wiring/netlist';
import type { Slot, TerminalId } from '../../facts/terms/names';
import { splitRef, terminalRef } from '../../facts/terms/names';
import type { JobContext } from './jobContext';
import { lastNote } from './jobContext';

/**
 * Signs that the fitted parts can show as they are joined, in the order in which they come; those that come together by
 * their parts. A start tone is made by the motor: a channel without one has none.
 */
export function expectedSigns(asBuilt: Assembly): ExpectedSign[] {
  const nets = netlist(asBuilt);
  const isJoined = (slot: Slot, terminal: TerminalId) =>
    nets.netOf(terminalRef(slot, terminal))?.terminals.some((ref) => splitRef(ref).slot !== slot) ?? false;
  const signs = Object.keys(asBuilt.build.slots).flatMap((slot) =>
    asBuilt
      .model(slot)!
      .signs.filter(({ needs }) => needs.every((terminal) => isJoined(slot, terminal)))
      .map((sign): ExpectedSign => ({ slot, sign })),
  );
  return signs.sort((a, b) => a.sign.afterS - b.sign.afterS);
}

/** What a sign of a slot is called in a record. */
export function signId({ slot, sign }: ExpectedSign): string {
  return `${slot}.${sign.id}`;
}

/** What is seen or heard, with the part where several show the same. */
export function signWords({ slot, sign }: ExpectedSign, all: readonly ExpectedSign[]): string {
  const alike = all.filter((other) => other.sign.says === sign.says).length;
  return alike > 1 ? `${sign.says}, ${slot}` : sign.says;
}

export interface StoppedPower {
  power: NoteOf<'power'>;
  seen: readonly ExpectedSign[];
  missing: readonly ExpectedSign[];
  /** What that can mean, likeliest first. */
  meaning: readonly string[];
}

/** The job's last power-up, when it was stopped and neither an act nor a fault has followed; else null. */
export function stoppedPower(job: Pick<JobContext, 'log' | 'jobId'>): StoppedPower | null {
  const power = lastNote(job, 'power');
  if (power?.record.body.verdict !== 'stop' || invalidatedBy(power, job.log, standsOnAll)) return null;
  const fault = lastNote(job, 'fault');
  if (fault && fault.madeSeq > power.madeSeq) return null;
  const { signs, endedBy } = power.record.body;
  const shown = new Set(signs.flatMap(({ id, seen }) => (seen ? [id] : [])));
  const expected = expectedSigns(job.log.asBuilt);
  const missing = expected.filter((sign) => !shown.has(signId(sign)));
  return {
    power,
    seen: expected.filter((sign) => shown.has(signId(sign))),
    missing,
    meaning: endedBy === 'heat' ? meaningOfHeat : meaningOfMissing(missing, expected),
  };
}
