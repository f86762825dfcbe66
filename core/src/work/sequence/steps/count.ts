import type { KitLine } from '../../../planning/kit/kitLine';
import { kitList } from '../../../planning/kit/kitList';
import { amountWords } from '../../../facts/catalogue/stockLine';
import { alloyOf } from '../../../physics/joints/recipe';
import { inThisOrder } from '../changeStep';
import { lastNote } from '../jobContext';
import { kitPlace, kitTurns } from '../looseParts';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';
import { untilWorkBegins } from '../untilWorkBegins';

interface CountStep extends Draft<'count', { kind: 'line'; line: KitLine }> {
  line: KitLine;
}

/** One line of the pick list counted onto the table. Counted short is done, and stays said. */
export const count: StepKind<CountStep> = {
  plan: (job) => {
    const lines = kitList(job.start, job.target, alloyOf(job.plan.schools));
    const drafts = lines.map((line): CountStep => ({
      verb: 'count',
      subject: line.key,
      about: { kind: 'line', line },
      line,
      place: kitPlace(kitTurns.count),
    }));
    return untilWorkBegins(drafts, job, count.state);
  },
  state: ({ line }, job) => {
    const last = lastNote(job, 'kit', line.key);
    if (!last) return open();
    const missing = line.needed - last.record.body.have;
    const blockedReason = missing > 0 ? `Short: ${amountWords(missing, line.unit)} of ${line.name}` : null;
    return { ...done(last.record.id), blockedReason };
  },
  words: ({ line }) => `Put ${amountWords(line.needed, line.unit)} of ${line.name} on the table`,
  why: () => inThisOrder,
  takesS: () => 8,
};
