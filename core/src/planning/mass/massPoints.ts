/**
 * What an aircraft is made of, each with its mass and where it is: parts in their poses, wires along their ways, and
 * what the bench adds. Grams with the band in which they lie; mm in the aircraft.
 */
import { emptyBuild, landedOn } from '../../facts/assembly/build';
import type { Assembly } from '../../facts/assembly/assembly';
import { assemble } from '../../facts/assembly/assembly';
import type { FrameBody, XYZ } from '../../facts/catalogue/frame';
import type { PartModel } from '../../facts/catalogue/partModel';
import { certaintyAt } from '../../facts/catalogue/revisions';
import type { Slot, XY } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { lookUp } from '../../facts/terms/lookUp';
import type { Laid } from '../../physics/layout/laid';
import { distance, routeBetween } from '../../physics/layout/routes';
import { runsOf } from '../../physics/layout/runs';
import { lengthMmOf } from '../../physics/layout/wireLength';
import { areaMm2 } from '../../facts/wiring/wireAmps';
import { kitList } from '../kit/kitList';
import { weightedMiddle } from './weightedMiddle';

export interface MassPoint {
  /** What is off by the same share is off together: all parts of one model, all wire. */
  kind: string;
  g: number;
  /** Half the band. */
  offG: number;
  /** null: nobody knows where. */
  atMm: XYZ | null;
}

/** By how much a part's figure may be off, by where it is known from. */
const offBy: Readonly<Record<ReturnType<typeof certaintyAt>, number>> = {
  measured: 0.03,
  sheet: 0.05,
  typical: 0.07,
  assumed: 0.1,
};
/** A scale's own error, in g; and how two pieces of one model differ. */
const scaleG = 0.1;
const alike = 0.01;
const wireOff = 0.2;
const smallOff = 0.3;

/**
 * @param weighed Grams of parts weighed here, by slot; one of several alike stands for all.
 * @param laid null: nobody knows where anything is.
 */
export function massPoints(target: Assembly, weighed: Readonly<Record<Slot, number>>, laid: Laid | null): MassPoint[] {
  const middle = laid ? ([0, 0, 0] as const) : null;
  const kit = kitList(assemble(emptyBuild, target.catalogue), target);
  const small = kit.flatMap(({ kind, key, needed }): MassPoint[] => {
    const g = smallG(kind, key) * needed;
    const joints = kind === 'solder' ? solderShares(target, laid) : [];
    if (joints.length === 0) return [added(g, middle)];
    return joints.map(({ share, atMm }) => added(g * share, atMm));
  });
  return [...partPoints(target, weighed, laid), ...wirePoints(target, laid), ...small];
}

const added = (g: number, atMm: XYZ | null): MassPoint => ({
  kind: 'what the bench adds',
  g,
  offG: g * smallOff,
  atMm,
});

/** Solder lies at its joints, the more the thicker the wire. */
function solderShares(target: Assembly, laid: Laid | null): { share: number; atMm: XYZ }[] {
  const joints = Object.values(target.build.wires).flatMap(({ awg, ends }) =>
    ends.flatMap((end) => {
      const ref = end.by === 'solder' ? landedOn(end) : null;
      const pose = ref && laid?.poses.get(splitRef(ref).slot);
      return pose ? [{ share: areaMm2(awg), atMm: pose.atMm }] : [];
    }),
  );
  const all = joints.reduce((sum, { share }) => sum + share, 0);
  return joints.map(({ share, atMm }) => ({ share: share / all, atMm }));
}

function partPoints(target: Assembly, weighed: Readonly<Record<Slot, number>>, laid: Laid | null): MassPoint[] {
  const slots = Object.keys(target.build.slots);
  const known = new Map(
    slots.flatMap((slot) => {
      const g = lookUp(weighed, slot);
      return g === undefined ? [] : [[target.model(slot)!.id, { g, slot }] as const];
    }),
  );
  return slots.map((slot): MassPoint => {
    const model = target.model(slot)!;
    const own = known.get(model.id);
    const atMm = model.frame ? frameMiddle(model.frame) : (laid?.poses.get(slot)?.atMm ?? null);
    return { kind: model.id, ...partG(model, own && { ...own, isIt: own.slot === slot }), atMm };
  });
}

function partG(model: PartModel, weighed: { g: number; isIt: boolean } | undefined): { g: number; offG: number } {
  if (!weighed) return { g: model.massG, offG: model.massG * offBy[certaintyAt(model, '/massG')] };
  return { g: weighed.g, offG: scaleG + (weighed.isIt ? 0 : weighed.g * alike) };
}

/** In the middle of its plates, each by what it holds; x and y of the aircraft's middle where they are not known. */
function frameMiddle({ plates = [] }: FrameBody): XYZ {
  const holds = plates.map(({ outlineMm, thicknessMm, zMm }) => {
    const { mm2, atMm } = areaMiddle(outlineMm);
    return { weight: mm2 * thicknessMm, atMm: [...atMm, zMm + thicknessMm / 2] as const };
  });
  return weightedMiddle(holds) ?? [0, 0, 0];
}

/** Area and middle of an outline, by its triangles (shoelace). */
function areaMiddle(outline: readonly XY[]): { mm2: number; atMm: XY } {
  let [twice, x, y] = [0, 0, 0];
  outline.forEach(([ax, ay], index) => {
    const [bx, by] = outline[(index + 1) % outline.length]!;
    const cross = ax * by - bx * ay;
    twice += cross;
    x += (ax + bx) * cross;
    y += (ay + by) * cross;
  });
  return twice === 0
    ? { mm2: 0, atMm: [0, 0] }
    : { mm2: Math.abs(twice) / 2, atMm: [x / (3 * twice), y / (3 * twice)] };
}

/** Leads that a part brings are in its own mass. */
function wirePoints(target: Assembly, laid: Laid | null): MassPoint[] {
  const ways = new Map(laid ? runsOf(laid).map(({ wire, ends }) => [wire.id, routeBetween(laid, ...ends).points]) : []);
  const wires = Object.values(target.build.wires).filter(({ from }) => from !== 'tail');
  return wires.map((wire) => {
    const g = lengthMmOf(target, wire) * wireGPerMm(wire.awg);
    const way = ways.get(wire.id);
    return { kind: 'wire', g, offG: g * wireOff, atMm: way ? middleOf(way) : null };
  });
}

/** Copper, 8.96 g/cm3, and a third more for its silicone. */
const wireGPerMm = (awg: number) => areaMm2(awg) * 8.96e-3 * (4 / 3);

function middleOf(way: readonly XYZ[]): XYZ {
  const legs = way.slice(1).map((to, index) => {
    const from = way[index]!;
    const half = (axis: 0 | 1 | 2) => (from[axis] + to[axis]) / 2;
    return { weight: distance(from, to), atMm: [half(0), half(1), half(2)] as const };
  });
  return weightedMiddle(legs) ?? way[0]!;
}

/** Grams of one unit of what is no part: solder that stays, screws by length, ties, tape, sleeve. */
function smallG(kind: string, key: string): number {
  if (kind === 'solder') return 0.7;
  if (kind === 'screw') {
    const [shaftGPerMm, headG] = key.includes('M2') ? [0.02, 0.12] : [0.045, 0.35];
    return Number(key.split(':')[2]) * shaftGPerMm + headG;
  }
  if (key.startsWith('tie')) return 0.4;
  return key.startsWith('tape') || kind === 'sleeve' ? 0.006 : 0;
}
