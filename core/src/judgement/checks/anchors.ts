/** What proves contact: an expected silence counts only if each probe has sounded, or read, on its own net. */
import type { LogState } from '../../facts/log/logState';
import type { Id, TerminalRef } from '../../facts/terms/names';
import { notesOf, ofJob } from '../../facts/log/notesOf';
import { netlist } from '../../facts/wiring/netlist';
import { invalidatedBy, standsOnTerminals } from '../../facts/log/stale';
import type { Touch } from '../../facts/log/reading';

/** For each probe the newest record of this job of a tone or number on its terminal's net, not stale; or null. */
export function anchorsFor(touch: Touch, log: LogState, jobId: Id): { black: Id | null; red: Id | null } {
  const nets = netlist(log.asBuilt);
  const own = notesOf(log, 'reading').filter(ofJob(jobId));
  const proving = own.filter(({ record }) => {
    const { heard, verdict, expected } = record.body.reading;
    if (verdict !== 'pass') return false;
    const reads = heard.value !== undefined && record.body.reading.touch.mode !== 'volts';
    return reads || (heard.length === 'does not stop' && expected.passes.includes('does not stop'));
  });
  const anchor = (ref: TerminalRef): Id | null => {
    const net = nets.netOf(ref);
    const found = proving.filter((entry) => {
      const { black, red } = entry.record.body.reading.touch;
      const onNet = [black, red].some((other) => net !== null && nets.netOf(other) === net);
      return onNet && !invalidatedBy(entry, log, standsOnTerminals(black, red));
    });
    return found.at(-1)?.record.id ?? null;
  };
  return { black: anchor(touch.black), red: anchor(touch.red) };
}

/** Volts on the capacitors and seconds since, from the newest tone reading; empty after none or after power. */
export function chargeBefore(
  log: LogState,
  now: string,
): { chargeV: Readonly<Record<string, number>>; pauseS: number } {
  const last = notesOf(log, 'reading')
    .filter(({ record }) => record.body.reading.touch.mode !== 'volts')
    .at(-1);
  const proof = notesOf(log, 'meter proof').at(-1);
  if (!last || (proof && proof.madeSeq > last.madeSeq)) return { chargeV: {}, pauseS: 0 };
  return {
    chargeV: last.record.body.reading.expected.chargeAfterV,
    pauseS: Math.max(0, (Date.parse(now) - Date.parse(last.record.doneAt)) / 1000),
  };
}
