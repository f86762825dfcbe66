/** Gates: the checks of a stretch that must hold before the next one opens. Derived, never stored. */
import type { Id, StepId } from '../../facts/terms/names';
import type { Step } from './stepTable';
import type { Stretch } from './stretch';
import { stretches } from './stretch';

export interface Gate {
  id: Stretch;
  /** A stretch in which this job has nothing to do is no gate that it has passed. */
  state: 'passed' | 'blocking' | 'not in this job';
  /** Open steps, in order. */
  missing: readonly StepId[];
  /** The act that made a passed gate block again. */
  unpassedBy: Id | null;
}

/**
 * One gate for each stretch, in order. A gate is passed when every step of its stretch is done and no short stands
 * between the main leads.
 */
export function gates(steps: readonly Step[], short: Id | null): Gate[] {
  return stretches.map((id) => {
    const own = steps.filter(({ stretch }) => stretch === id);
    const open = own.filter(({ done }) => !done);
    const reopened = open.map(({ reopenedBy }) => reopenedBy).find(Boolean) ?? null;
    const unpassedBy = open.length === 0 ? short : reopened;
    const stateOf = () => {
      if (own.length === 0) return 'not in this job';
      return open.length === 0 && short === null ? 'passed' : 'blocking';
    };
    return { id, state: stateOf(), missing: open.map((step) => step.id), unpassedBy };
  });
}
