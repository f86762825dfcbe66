/**
 * What a conversion means for the software that flies: outputs that move to another corner, and a board that lies
 * another way.
 */
import type { Alignment } from '../../physics/motors/alignment';
import { alignmentOf } from '../../physics/motors/alignment';
import { motorMap } from '../../physics/motors/motorMap';
import type { Assembly } from '../../facts/assembly/assembly';

export interface MotorChange {
  corner: number;
  where: string;
  /** Outputs of the controller; null: nothing drives it. */
  before: number | null;
  after: number | null;
}

export interface AlignmentChange {
  before: Alignment;
  after: Alignment;
}

/** Corners that had a motor and keep one, and are driven by another output afterwards. */
export function motorChanges(from: Assembly, to: Assembly): MotorChange[] {
  const before = new Map(motorMap(from).map((motor) => [motor.corner, motor.output]));
  return motorMap(to)
    .filter(({ corner, output }) => before.has(corner) && before.get(corner) !== output)
    .map(({ corner, where, output }) => ({ corner, where, before: before.get(corner)!, after: output }));
}

/** "corner 2 from 3 to none". */
export function motorChangeWords({ corner, before, after }: MotorChange): string {
  return `corner ${corner} from ${before ?? 'none'} to ${after ?? 'none'}`;
}

/** null: there was no controller, there is none, or it lies as it lay. */
export function alignmentChange(from: Assembly, to: Assembly): AlignmentChange | null {
  const [before, after] = [alignmentOf(from), alignmentOf(to)];
  if (!before || !after) return null;
  const same = before.yawDeg === after.yawDeg && before.upsideDown === after.upsideDown && before.known === after.known;
  return same ? null : { before, after };
}

/** "turned 90° clockwise, upside down". */
export function alignmentWords({ yawDeg, upsideDown, known }: Alignment): string {
  if (!known) return 'no arrow to go by: measure it';
  return [yawDeg === 0 ? 'arrow forward' : `turned ${yawDeg}° clockwise`, upsideDown ? 'upside down' : '']
    .filter(Boolean)
    .join(', ');
}
