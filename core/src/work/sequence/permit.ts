/** The permit for limited power, and what stands against one. */
import type { LogState, NoteOf } from '../../facts/log/logState';
import { notesOf, ofJob } from '../../facts/log/notesOf';
import type { Assembly } from '../../facts/assembly/assembly';
import type { PermitFor } from '../../facts/log/records';
import { coreVersion } from '../../facts/terms/coreVersion';
import type { Id, TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { permitS } from '../../facts/terms/powerStage';
import { mainLeads } from '../../facts/wiring/mainLeads';
import { netlist } from '../../facts/wiring/netlist';
import { standingShort } from '../../judgement/checks/standingShort';
import { openFaults } from './faults';
import { lastNote } from './jobContext';
import type { Finding } from '../../judgement/rules/finding';

/**
 * The job's permit that holds now, or null: none does while a fault is open, a short stands between the main leads,
 * when the plan has changed since, or when it was given by a version that asked for less.
 */
export function validPermit(log: LogState, jobId: Id, planVersion: number): NoteOf<'permit'>['record'] | null {
  const permit = notesOf(log, 'permit').findLast(ofJob(jobId));
  if (!permit || permit.record.planVersion !== planVersion || openFaults(log).length > 0) return null;
  if (permit.record.body.for?.coreVersion !== coreVersion || standingShort(log)) return null;
  return log.livePermits.includes(permit.record.id) ? permit.record : null;
}

/** The one power-up that a permit given now is for; null while no pack has been measured in the job. */
export function permitFor(log: LogState, jobId: Id, limiter: string, askedAt: string): PermitFor | null {
  const pack = lastNote({ log, jobId }, 'pack')?.record.body;
  if (!pack) return null;
  const { limiterId, volts: packV } = pack;
  return { stage: 'limited, all', limiterId, limiter, packV, forS: permitS, askedAt, coreVersion };
}

/** Why no power can be given to what is planned at all, in words; null when there is a way from the pack. */
export function noPowerPath(asBuilt: Assembly, target: Assembly): string | null {
  if (Object.keys(target.build.slots).length === 0) return 'This plan has no parts: there is nothing to give power to';
  for (const [assembly, of] of [
    [target, 'This plan has'],
    [asBuilt, 'This quad has'],
  ] as const) {
    const leads = mainLeads(assembly);
    if (!leads) return `${of} no battery lead: the main leads cannot be read`;
    const nets = netlist(assembly);
    const isFed = (ref: TerminalRef) => (nets.netOf(ref)?.terminals ?? []).some((other) => !isOfSlot(other, ref));
    if (!isFed(leads.plus) || !isFed(leads.minus)) return `${of} no way from the pack to any part`;
  }
  return null;
}

function isOfSlot(ref: TerminalRef, other: TerminalRef): boolean {
  return splitRef(ref).slot === splitRef(other).slot;
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
