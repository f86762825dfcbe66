/** What a layout stands on, as text: which model lies where, and what is threaded on the screws of a stack. */
import type { Build } from '../../facts/assembly/build';
import { canonicalJson } from '../../facts/terms/canonicalJson';
import { lookUp } from '../../facts/terms/lookUp';

export function layoutBasis({ slots, stacks = {} }: Pick<Build, 'slots' | 'stacks'>): string {
  const parts = Object.keys(slots).sort();
  return canonicalJson([
    parts.map((slot) => {
      const { model, revision, pose } = lookUp(slots, slot)!;
      return [slot, model, revision, pose && [pose.place, pose.yawDeg, pose.face]];
    }),
    stacks,
  ]);
}
