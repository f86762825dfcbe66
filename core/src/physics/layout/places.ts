/** Where parts can be in a frame, and which part goes where by its kind. */
import type { FrameBody, Place } from '../../facts/catalogue/frame';
import { drivesMotors, isEsc } from '../../facts/catalogue/kinds';
import type { PartModel } from '../../facts/catalogue/partModel';

/** The places of a frame; of one that was entered with bays only, these. */
export function placesOf({ places, bays, route }: FrameBody): readonly Place[] {
  if (places) return places;
  const [entry] = Object.keys(route.points);
  return bays.map(({ id, atMm, sizeMm, hole }): Place => {
    const pattern = Number.parseFloat(hole);
    return {
      id,
      kind: id === 'stack' ? 'stack' : 'bay',
      atMm,
      roomMm: sizeMm,
      holes: pattern > 0 ? { patternMm: [pattern, pattern], thread: pattern > 28 ? 'M3' : 'M2' } : null,
      turns: [0, 90, 180, 270],
      faces: ['up'],
      airflow: 'some',
      entry: entry ?? '',
    };
  });
}

/** Stands on the screws of a stack. */
export function isStacked({ kind, body }: Pick<PartModel, 'kind' | 'body'>): boolean {
  return body.holes.length >= 4 && ['controller', 'single board', 'esc', 'distribution'].includes(kind);
}

/** Drives the one motor of the arm that it lies on. */
function isOnArm(model: PartModel): boolean {
  return isEsc(model.kind) && drivesMotors(model) && !isStacked(model);
}

/** Has no place of its own: what carries all, what turns with a motor, what hangs on a cable, the motors. */
export function hasNoPlace({ kind }: Pick<PartModel, 'kind'>): boolean {
  return ['frame', 'motor', 'propeller', 'pack', 'antenna', 'cable'].includes(kind);
}

/** The kinds of places that it can be in, the usual one first. */
export function placesFor(model: PartModel): readonly Place['kind'][] {
  if (isStacked(model)) return ['stack'];
  if (isOnArm(model)) return ['arm'];
  if (model.kind === 'camera') return ['cheeks'];
  if (model.kind === 'positioning') return ['lid', 'surface'];
  if (model.kind === 'video unit') return ['bay', 'surface', 'lid'];
  return ['surface', 'bay', 'lid'];
}
