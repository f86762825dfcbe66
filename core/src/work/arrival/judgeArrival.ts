/**
 * What the server finds of a record as it arrives, from plan, log, catalogue and the meter's card alone. What the
 * sender believed is compared; the server's holds. Nothing is refused here: a fact is a fact, it only may count for
 * nothing.
 */
import type { Judged } from '../../facts/log/judged';
import type { LogState } from '../../facts/log/logState';
import type { QuadRecord } from '../../facts/log/records';
import type { Plan } from '../../facts/plan/plan';
import type { Meter } from '../../facts/terms/meter';
import { powerFailings } from '../sequence/powerVerdict';
import { judgedReading } from './judgedReading';

export interface ArrivalContext {
  /** The quad's log before the record. */
  log: LogState;
  plan: Pick<Plan, 'cells'>;
  /** The meters of the shop; one that nobody has entered reads nothing that counts. */
  meters: ReadonlyMap<string, Meter>;
  /** The server's clock, ISO. */
  arrivedAt: string;
}

type Arriving = Omit<QuadRecord, 'judged'>;

export function judgeArrival(sent: Arriving, context: ArrivalContext): Judged | null {
  const { log, plan, arrivedAt } = context;
  const doneAt = heldTime(sent.doneAt, arrivedAt);
  const ahead = doneAt === sent.doneAt ? null : { doneAt, differs: [aheadWords(sent.doneAt)] };
  const { body } = sent;
  const differs = ahead?.differs ?? [];
  const timed = ahead ? { doneAt } : {};
  if ('saw' in body && body.saw === 'reading') {
    const found = judgedReading({ ...sent, doneAt, body }, context);
    return { ...timed, reading: found.reading, differs: [...differs, ...found.differs] };
  }
  if ('saw' in body && body.saw === 'power') {
    const failings = powerFailings(body, log.asBuilt, plan.cells);
    const power = failings.length === 0 ? 'pass' : 'stop';
    return {
      ...timed,
      power,
      differs: power === body.verdict ? differs : [...differs, `no pass: ${failings.join('; ')}`],
    };
  }
  return ahead;
}

/** A device may be a little ahead without anybody minding. */
const aheadMs = 120_000;

/** The time that counts: the device's own, or the arrival where the device says something of the future. */
export function heldTime(sent: string, arrivedAt: string): string {
  return Date.parse(sent) > Date.parse(arrivedAt) + aheadMs ? arrivedAt : sent;
}

function aheadWords(sent: string): string {
  return `the device’s clock was ahead: it said ${sent.slice(0, 16).replace('T', ' ')}`;
}
