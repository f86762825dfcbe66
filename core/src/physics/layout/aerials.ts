/** Aerials on a cable: through which hole they leave the frame, and where they are then. Lengths in mm. */
import type { Assembly } from '../../facts/assembly/assembly';
import { remembered } from '../../facts/assembly/assembly';
import type { Pose } from '../../facts/assembly/build';
import type { FrameOpening, XYZ } from '../../facts/catalogue/frame';
import { isAerial } from '../../facts/catalogue/kinds';
import type { Cable } from '../../facts/catalogue/partModel';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { acrossMm } from './box';
import { socketsOf } from './cables';
import type { Laid } from './laid';
import { hasNoPlace } from './places';
import { distance, gatesOf, pointIn, routeOf } from './routes';

type Lying = Pick<Laid, 'assembly' | 'poses' | 'frame' | 'places'>;

interface HangingAerial {
  slot: Slot;
  cable: Cable;
  /** The part that it is plugged into. */
  from: Slot;
  /** The nearest hole and the way to it; null: the frame has no hole for it that is known. */
  out: { hole: FrameOpening; mm: number; points: readonly XYZ[] } | null;
}

export function aerialsOf(laid: Lying): HangingAerial[] {
  return [...laid.poses.keys()].flatMap((from) => aerialsOn(laid, from));
}

export function aerialsOn(laid: Lying, from: Slot): HangingAerial[] {
  const own = hanging(laid.assembly).filter(({ socket }) => splitRef(socket).slot === from);
  return own.flatMap(({ slot, cable, socket }): HangingAerial[] => {
    const holes = laid.frame.ways?.filter(({ passes }) => passes === 'aerial') ?? [];
    const ways = holes.map((hole) => ({ hole, ...wayTo(laid, socket, hole) }));
    const [first] = ways.sort((a, b) => a.mm - b.mm);
    return [{ slot, cable, from, out: first ?? null }];
  });
}

const hanging = remembered((assembly): { slot: Slot; cable: Cable; socket: TerminalRef }[] =>
  Object.keys(assembly.build.slots).flatMap((slot) => {
    const { kind, cable } = assembly.model(slot)!;
    const end = cable && isAerial(kind) ? plugged(assembly, slot, cable) : null;
    return end ? [{ slot, ...end }] : [];
  }),
);

/** The socket of a board that a cable ends in, and the whole of it: an adapter on a cable makes it longer. */
function plugged(assembly: Assembly, slot: Slot, cable: Cable): { cable: Cable; socket: TerminalRef } | null {
  const [socket] = socketsOf(assembly, slot);
  if (!socket) return null;
  const between = splitRef(socket).slot;
  const more = assembly.model(between)!;
  if (!more.cable || !hasNoPlace(more)) return { cable, socket };
  return plugged(assembly, between, { ...cable, lengthMm: cable.lengthMm + more.cable.lengthMm });
}

/** Straight to a hole beside its own place, else as wires run. */
function wayTo(laid: Lying, socket: TerminalRef, { atMm }: FrameOpening): { mm: number; points: readonly XYZ[] } {
  const pose = laid.poses.get(splitRef(socket).slot)!;
  const from = { at: pointIn(laid, socket), pose };
  const hole = { at: atMm, pose: { place: '', atMm } };
  if (gatesOf(laid, pose)[0] !== gatesOf(laid, hole.pose)[0]) return routeOf(laid, from, hole);
  return { points: [from.at, atMm], mm: distance(from.at, atMm) };
}

/** How each lies that has left the frame: outwards from its hole. */
export function aerialPoses(laid: Lying): [Slot, Pose][] {
  return aerialsOf(laid).flatMap(({ slot, out }): [Slot, Pose][] => {
    if (!out) return [];
    const { id, atMm, facing } = out.hole;
    const halfMm = acrossMm(laid.assembly.model(slot)!) / 2 / Math.hypot(...facing);
    const middle = atMm.map((mm, axis) => mm + facing[axis]! * halfMm) as [number, number, number];
    const yawDeg = (Math.atan2(facing[1], facing[0]) * 180) / Math.PI;
    return [[slot, { place: id, atMm: middle, yawDeg, face: 'up' }]];
  });
}
