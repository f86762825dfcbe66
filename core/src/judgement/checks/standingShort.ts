/**
 * A short between plus and minus stands from the reading that showed it until the main leads have been read good after
 * it, both ways round: whatever has been done in between, whatever job it was, whoever says otherwise.
 */
import { shortBelowOhms } from '../../facts/catalogue/conductors';
import { findEntry } from '../../facts/log/entries';
import type { LogState, NoteOf } from '../../facts/log/logState';
import { notesOf } from '../../facts/log/notesOf';
import type { Reading } from '../../facts/log/reading';
import { mainLeads } from '../../facts/wiring/mainLeads';
import { netlist } from '../../facts/wiring/netlist';
import { sound } from '../../facts/wiring/sound';
import type { Assembly } from '../../facts/assembly/assembly';
import { restLimitV } from './expect';

/** The newest reading of a short that has not been read good since, taken back or not; null when none stands. */
export function standingShort(log: LogState): NoteOf<'reading'> | null {
  const shorts = notesOf(log, 'reading').filter(({ record }) => soundsShorted(record.body.reading));
  const last = shorts.findLast((entry) => layAcross(entry, log));
  if (last && !readGoodSince(last.madeSeq, log)) return last;
  const unsaid = log.withdrawn.findLast(({ entry: { record }, then }) => {
    const { body } = record;
    return body.saw === 'reading' && soundsShorted(body.reading) && isAcrossMains(body.reading.touch, then);
  });
  return unsaid && !readGoodSince(unsaid.seq, log) ? (unsaid.entry as NoteOf<'reading'>) : null;
}

/** It sounds without end, or reads so few ohms that nothing else can be meant, whatever was expected. */
export function soundsShorted({ touch: { mode }, heard: { length, value } }: Reading): boolean {
  if (mode === 'ohms') return value !== undefined && value < shortBelowOhms;
  if (mode === 'diode') return value !== undefined && Math.abs(value) < restLimitV;
  return mode === 'tone' && length === 'does not stop';
}

/** True when the probes lay on plus and on minus, as things were wired then. */
function layAcross({ record }: NoteOf<'reading'>, log: LogState): boolean {
  const { touch } = record.body.reading;
  const then = findEntry(log, record.id)?.before.asBuilt;
  return then !== undefined && isAcrossMains(touch, then);
}

/** True when one terminal is on the net of plus and the other on that of minus. */
export function isAcrossMains({ black, red }: Reading['touch'], assembly: Assembly): boolean {
  const leads = mainLeads(assembly);
  if (!leads) return false;
  if (black === leads.plus ? red === leads.minus : black === leads.minus && red === leads.plus) return true;
  const nets = netlist(sound(assembly));
  const [plus, minus] = [nets.netOf(leads.plus), nets.netOf(leads.minus)];
  const [one, other] = [nets.netOf(black), nets.netOf(red)];
  return one !== other && [one, other].includes(plus) && [one, other].includes(minus);
}

/** What corrects an older reading was not read since. */
function readGoodSince(seq: number, log: LogState): boolean {
  const leads = mainLeads(log.asBuilt);
  if (!leads) return false;
  const passed = (black: string, red: string) =>
    notesOf(log, 'reading').some(({ placeSeq, record }) => {
      const { touch, verdict } = record.body.reading;
      return (
        placeSeq > seq && verdict === 'pass' && touch.mode === 'tone' && touch.black === black && touch.red === red
      );
    });
  return passed(leads.minus, leads.plus) && passed(leads.plus, leads.minus);
}
