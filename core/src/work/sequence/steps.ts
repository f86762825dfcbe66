/** All steps of a job in the order of work: done ones by the log, open ones by what is left of the difference. */
import { isEsc } from '../../facts/catalogue/kinds';
import type { StepId } from '../../facts/terms/names';
import type { JobContext } from './jobContext';
import { comparePlaces } from './order';
import type { AnyDraft, Step } from './stepTable';
import { kindOf, stepTable } from './stepTable';
import { lookUp } from '../../facts/terms/lookUp';

/** Each needs the one before it. */
export function stepsOf(job: JobContext): Step[] {
  const drafts: AnyDraft[] = Object.values(stepTable).flatMap((kind): AnyDraft[] => kind.plan(job));
  const first = plugsFirst(job);
  const ordered = drafts.sort((a, b) => comparePlaces(a.place, b.place, job.builds, first));
  let before: StepId[] = [];
  return ordered.map((draft) => {
    const kind = kindOf(draft);
    const id: StepId = `${draft.verb}:${draft.subject}`;
    const { stretch, group } = draft.place;
    const needs = before;
    before = [id];
    return { ...draft, id, stretch, group, needs, takesS: kind.takesS(draft, job), ...kind.state(draft, job) } as Step;
  });
}

/** The plug between controller and ESC is pushed home before the others. */
function plugsFirst({ builds, target }: JobContext): (mate: string) => boolean {
  return (id) => {
    const mate = builds.map(({ build }) => lookUp(build.mates, id)).find(Boolean);
    const kind = mate && 'slot' in mate.a ? target.model(mate.a.slot)?.kind : undefined;
    return kind !== undefined && isEsc(kind);
  };
}
