/** Gates: the checks of a stretch that must hold before the next one opens. Derived, never stored. */
import type { Id, StepId } from '../../facts/terms/names';
import type { Step } from './stepTable';
import type { Stretch } from './stretch';
import { stretches } from './stretch';

export interface Gate {
  id: Stretch;
  state: 'passed' | 'blocking';
  /** Open steps, in order. */
  missing: readonly StepId[];
  /** The act that made a passed gate block again. */
  unpassedBy: Id | null;
}

/** One gate for each stretch, in order. A gate is passed when every step of its stretch is done. */
export function gates(steps: readonly Step[]): Gate[] {
  return stretches.map((id) => {
    const open = steps.filter((step) => step.stretch === id && !step.done);
    const unpassedBy = open.map(({ reopenedBy }) => reopenedBy).find(Boolean) ?? null;
    return {
      id,
      state: open.length === 0 ? 'passed' : 'blocking',
      missing: open.map((step) => step.id),
      unpassedBy,
    };
  });
}
