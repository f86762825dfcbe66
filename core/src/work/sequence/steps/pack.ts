import type { Range } from '../../../facts/terms/names';
import { packVolts } from '../../../facts/terms/names';
import type { Note } from '../../../facts/log/records';
import { lastNote, sinceLastActOrPower } from '../jobContext';
import { powerPlace, powerTurns } from '../powerPlace';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';

type PackStep = Draft<'pack', { kind: 'pack' }>;

/** The pack measured at its plug, the limiter in line. */
export const pack: StepKind<PackStep> = {
  plan: () => [{ verb: 'pack', subject: 'measured', about: { kind: 'pack' }, place: powerPlace(powerTurns.pack) }],
  state: (_step, job) => {
    const last = lastNote(job, 'pack');
    if (!last) return open();
    const objection = packObjection(last.record.body, job.plan.cells);
    if (objection) return open(objection);
    return sinceLastActOrPower(last, job) ?? done(last.record.id);
  },
  words: () => 'Measure the pack at its plug and put the limiter in line',
  why: () => 'the next step gives power',
  takesS: () => 40,
};

/** What is wrong with a measured pack, in words; null when it may be used. */
function packObjection(body: Extract<Note, { saw: 'pack' }>, cells: Range): string | null {
  return body.polarity === 'reversed' ? 'The pack is reversed at the plug' : voltsObjection(body.volts, cells);
}

/** Why so many volts are not those of a pack of so many cells, in words; null when they are. */
export function voltsObjection(volts: number, cells: Range): string | null {
  const [low, high] = packVolts(cells);
  if (volts > high) return `${volts} V is more than ${cells[1]} cells give (${high.toFixed(1)} V)`;
  if (volts < low) return `${volts} V is less than ${cells[0]} cells may have (${low.toFixed(1)} V)`;
  return null;
}
