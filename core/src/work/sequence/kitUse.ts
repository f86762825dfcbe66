/** What a line of the pick list is for, by the steps that take from it. */
import { landedOn } from '../../facts/assembly/build';
import type { Assembly } from '../../facts/assembly/assembly';
import { splitRef } from '../../facts/terms/names';
import type { KitLine } from '../../planning/kit/kitLine';
import type { Step } from './stepTable';
import { lookUp } from '../../facts/terms/lookUp';

/** "M1, M2" for parts, "12 joints on ESC, FC" for what goes into joints; empty where no step names it. */
export function kitUse(line: KitLine, steps: readonly Step[], target: Assembly): string {
  if (line.slots.length > 0) return line.slots.join(', ');
  const joints = steps.flatMap((step) =>
    line.steps.includes(step.id) && step.about.kind === 'joint' ? [step.about] : [],
  );
  if (joints.length === 0) return '';
  const on = joints.flatMap(({ wire, end }) => {
    const planned = lookUp(target.build.wires, wire);
    const ref = planned && landedOn(planned.ends[end]);
    return ref ? [splitRef(ref).slot] : [];
  });
  return `${joints.length} ${joints.length === 1 ? 'joint' : 'joints'} on ${[...new Set(on)].join(', ')}`;
}
