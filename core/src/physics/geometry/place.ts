/**
 * Where terminals are in the aircraft, as far as the planner must know it to compare wire lengths.
 * Units: mm; x to the right, y forward, z up. A part without a place of its own is taken to be where its kind usually
 * is.
 */
import { frameOf } from '../../facts/assembly/frameOf';
import type { Pose } from '../../facts/assembly/build';
import type { PartKind, PartModel } from '../../facts/catalogue/partModel';
import type { TerminalRef, XY } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import type { Assembly } from '../../facts/assembly/assembly';
import { liesByArrow } from '../../facts/catalogue/kinds';
import { lookUp } from '../../facts/terms/lookUp';

const usual: Readonly<Partial<Record<PartKind, readonly [number, number, number]>>> = {
  controller: [0, 0, 12],
  'single board': [0, 0, 8],
  esc: [0, 0, 4],
  distribution: [0, 0, 0],
  'battery lead': [0, -60, 4],
  capacitor: [10, -40, 4],
  receiver: [-12, -38, 16],
  'video unit': [0, -50, 14],
  camera: [0, 48, 14],
  positioning: [0, -75, 40],
  lights: [0, -95, 10],
  'light controller': [22, -40, 14],
  buzzer: [25, -35, 20],
  regulator: [-25, -20, 10],
  adapter: [30, 0, 10],
};

/** Place of a part: its own, its corner's for a numbered motor or ESC, or the usual one of its kind. */
export function placeOf(assembly: Assembly, slot: string): Pose {
  const pose = lookUp(assembly.build.slots, slot)?.pose;
  if (pose) return pose;
  const kind = assembly.model(slot)!.kind;
  const number = /^(ESC|M)(\d+)$/.exec(slot)?.[2];
  const corner = number ? frameOf(assembly)?.corners.find(({ index }) => index === Number(number)) : undefined;
  const share = kind === 'esc' ? 0.5 : 1;
  const atMm = corner ? ([corner.atMm[0] * share, corner.atMm[1] * share, 6] as const) : (usual[kind] ?? [0, 0, 0]);
  // Boards of the stack lie with their arrow forward.
  const { arrowDeg } = assembly.model(slot)!.body;
  const yawDegOf = () => {
    if (liesByArrow(kind) && !corner && arrowDeg !== null) return 90 - arrowDeg;
    if (kind === 'motor' && corner) return leadsInwardsDeg(assembly.model(slot)!, corner.atMm);
    return 0;
  };
  const yawDeg = yawDegOf();
  return { place: 'assumed', atMm, yawDeg, face: 'up' };
}

/** How a motor is turned on its arm: its leads run along it to the middle. */
function leadsInwardsDeg({ terminals }: PartModel, [cornerX, cornerY]: readonly [number, number]): number {
  const leads = terminals.filter(({ form }) => form === 'tail');
  if (leads.length === 0) return 0;
  const [x, y] = ([0, 1] as const).map((axis) => leads.reduce((sum, { atMm }) => sum + atMm[axis], 0)) as [
    number,
    number,
  ];
  return ((Math.atan2(-cornerY, -cornerX) - Math.atan2(y, x)) * 180) / Math.PI;
}

/** Where a terminal is in the aircraft. @throws {RangeError} If it does not exist. */
export function pointOf(assembly: Assembly, ref: TerminalRef): [number, number, number] {
  const { slot } = splitRef(ref);
  const terminal = assembly.terminal(ref);
  if (!terminal) throw new RangeError(`no terminal ${ref}`);
  return lying(placeOf(assembly, slot), terminal.atMm);
}

/** Where a point of a board is in the aircraft when the board lies like that. */
export function lying({ atMm, yawDeg, face }: Pose, [x, y]: XY): [number, number, number] {
  const right = face === 'down' ? -x : x;
  const [cos, sin] = [Math.cos((yawDeg * Math.PI) / 180), Math.sin((yawDeg * Math.PI) / 180)];
  return [atMm[0] + cos * right - sin * y, atMm[1] + sin * right + cos * y, atMm[2]];
}

/** Which way something of a board looks in the aircraft, anticlockwise from the right. @param deg Seen from its top. */
export function turnedRad({ yawDeg, face }: Pick<Pose, 'yawDeg' | 'face'>, deg: number): number {
  return (((face === 'up' ? deg : 180 - deg) + yawDeg) * Math.PI) / 180;
}
