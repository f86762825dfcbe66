/**
 * Board alignment: how the controller lies against the aircraft, and the signs that a tilt by hand must show. The
 * controller's own front is where its silk arrow points; the aircraft's front is +y. Degrees, clockwise seen from
 * above.
 */
import type { Slot } from '../../facts/terms/names';
import type { Assembly } from '../../facts/assembly/assembly';
import { isController } from '../../facts/catalogue/kinds';
import { lookUp } from '../../facts/terms/lookUp';

export interface Alignment {
  slot: Slot;
  /** How far the board is turned clockwise, a multiple of 90. */
  yawDeg: 0 | 90 | 180 | 270;
  upsideDown: boolean;
  /** null: the board has no arrow, or lies at no right angle; then it is measured. */
  known: boolean;
}

export interface TiltSign {
  /** What the hands do. */
  tilt: 'nose down' | 'right side down' | 'turned right';
  /** What the board itself feels, without alignment. */
  board: { axis: 'roll' | 'pitch' | 'yaw'; polarity: 1 | -1 };
  /** What must be shown once the alignment is set. */
  wanted: { axis: 'roll' | 'pitch' | 'yaw'; polarity: 1 | -1 };
}

/** Of the controller or single board; null without one. A board without a pose lies with its arrow forward. */
export function alignmentOf(assembly: Assembly): Alignment | null {
  const slot = Object.keys(assembly.build.slots).find((key) => isController(assembly.model(key)!.kind));
  if (!slot) return null;
  const { arrowDeg } = assembly.model(slot)!.body;
  const pose = lookUp(assembly.build.slots, slot)!.pose;
  if (!pose) return { slot, yawDeg: 0, upsideDown: false, known: arrowDeg !== null };
  const upsideDown = pose.face === 'down';
  // Turned over, a board's x runs the other way.
  const arrow = arrowOf(arrowDeg, upsideDown);
  const heading = arrow + pose.yawDeg - 90;
  const clockwise = ((-heading % 360) + 360) % 360;
  const nearest = (Math.round(clockwise / 90) * 90) % 360;
  return {
    slot,
    yawDeg: nearest as Alignment['yawDeg'],
    upsideDown,
    known: arrowDeg !== null && Math.abs(clockwise - Math.round(clockwise / 90) * 90) < 10,
  };
}

function arrowOf(arrowDeg: number | null, upsideDown: boolean) {
  if (arrowDeg === null) return 90;
  if (upsideDown) return 180 - arrowDeg;
  return arrowDeg;
}

/**
 * Roll is positive right side down, pitch nose down, yaw turned right: as turns about the front, minus the right, and
 * minus
 * up. What the board feels is the same turn in its own axes: a board that is turned over about its front feels pitch
 * and yaw
 * the other way round, and roll as it is.
 */
export function tiltSigns({ yawDeg, upsideDown }: Pick<Alignment, 'yawDeg' | 'upsideDown'>): TiltSign[] {
  const turn = (yawDeg * Math.PI) / 180;
  const [cos, sin] = [Math.round(Math.cos(turn)), Math.round(Math.sin(turn))];
  const flip = upsideDown ? -1 : 1;
  // The board's own right and front, in the aircraft's right and front.
  const [right, front] = [
    [flip * cos, -flip * sin],
    [sin, cos],
  ] as const;
  const felt = (aboutRight: number, aboutFront: number): TiltSign['board'] => {
    const along = (axis: readonly [number, number]) => Math.sign(aboutRight * axis[0] + aboutFront * axis[1]);
    return along(front) !== 0
      ? { axis: 'roll', polarity: along(front) as 1 | -1 }
      : { axis: 'pitch', polarity: -along(right) as 1 | -1 };
  };
  return [
    { tilt: 'nose down', board: felt(-1, 0), wanted: { axis: 'pitch', polarity: 1 } },
    { tilt: 'right side down', board: felt(0, 1), wanted: { axis: 'roll', polarity: 1 } },
    { tilt: 'turned right', board: { axis: 'yaw', polarity: flip }, wanted: { axis: 'yaw', polarity: 1 } },
  ];
}
