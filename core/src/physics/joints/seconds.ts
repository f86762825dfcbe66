/** Seconds at the bench for a joint. */
import type { Build } from '../../facts/assembly/build';
import { splitJoint } from '../../facts/terms/names';


export function landS(target: Build, joint: string): number {
  const awg = target.wires[splitJoint(joint)?.wire ?? '']?.awg ?? 28;
  if (awg < 17) return 150;
  return awg < 25 ? 75 : 60;
}
