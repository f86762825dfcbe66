import type { Id, Slot } from '../../../facts/terms/names';
import { slotTitle } from '../../../facts/assembly/slotWords';
import { findEntry } from '../../../facts/log/entries';
import { workOf } from '../../../facts/log/jobStart';
import { handOverPlace, handOverTurns } from '../handOver';
import { lastNote } from '../jobContext';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';
import { lookUp } from '../../../facts/terms/lookUp';

/** `part`: what it was called when it came off; `to`: where it was said to go then. */
type SendStep = Draft<'send', { kind: 'old part'; act: Id; slot: Slot; part: string; to: 'bench' | 'customer' }>;

/** A part that came off and lies on the bench goes somewhere: to the customer, into the stores, away. */
export const send: StepKind<SendStep> = {
  plan: ({ log, jobId }) =>
    workOf(log, jobId).flatMap(({ record }): SendStep[] => {
      const { body } = record;
      if (body.do !== 'take off' || (body.to !== 'bench' && body.to !== 'customer')) return [];
      const then = findEntry(log, record.id)?.before.asBuilt;
      if (!then || !lookUp(then.build.slots, body.slot)) return [];
      return [
        {
          verb: 'send',
          subject: record.id,
          about: { kind: 'old part', act: record.id, slot: body.slot, part: slotTitle(body.slot, then), to: body.to },
          place: handOverPlace(handOverTurns.send),
        },
      ];
    }),
  state: ({ subject }, job) => {
    const last = lastNote(job, 'goes', subject);
    return last ? done(last.record.id) : open();
  },
  words: ({ about: { part, to } }) =>
    to === 'customer' ? `Lay the old ${part} with what goes back` : `Say where the old ${part} goes`,
  why: () => 'what came off is the customer’s until it is said otherwise',
  takesS: () => 10,
};
