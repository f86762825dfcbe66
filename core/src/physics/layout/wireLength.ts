/**
 * How long a wire is, said in one place for plan, kit, resistance and mass: as it was supplied, planned by hand or
 * measured, else what it is cut to where its parts lie. In mm.
 */
import type { Build, Wire } from '../../facts/assembly/build';
import type { Plan } from '../../facts/plan/plan';
import type { Assembly } from '../../facts/assembly/assembly';
import { remembered } from '../../facts/assembly/assembly';
import type { TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { lookUp } from '../../facts/terms/lookUp';
import { placeOf } from '../geometry/place';
import { bestLay } from './bestLay';
import type { CutParts } from './cutLength';
import { alongMm } from './cutLength';
import { cutPartsOf } from './cutLengths';
import type { Laid } from './laid';
import { laidOut } from './laid';
import { distance, pointIn, routeBetween } from './routes';
import { endsOf } from './runs';

/** A wire that hangs free at one end: nobody knows where it goes. */
const hangingMm = 120;

const laidAsPlanned = remembered((assembly) => laidOut(assembly));

/**
 * What a wire from one terminal to another takes, in whole millimetres: plans are compared by it.
 * @throws {RangeError} If one of them does not exist.
 */
export function joinMm(assembly: Assembly, a: TerminalRef, b: TerminalRef): number {
  return Math.round(alongMm(wayMm(assembly, laidAsPlanned(assembly), [a, b])));
}

/** The way from one terminal to another; straight without a frame. */
function wayMm(assembly: Assembly, laid: Laid | null, [a, b]: readonly [TerminalRef, TerminalRef]): number {
  if (laid) return routeBetween(laid, a, b).mm;
  const poses = new Map([a, b].map((ref) => [splitRef(ref).slot, placeOf(assembly, splitRef(ref).slot)]));
  return distance(pointIn({ assembly, poses }, a), pointIn({ assembly, poses }, b));
}

export function lengthMmOf(assembly: Assembly, wire: Wire): number {
  return wire.lengthMm ?? cutMm({ assembly, laid: laidAsPlanned(assembly) }, wire) ?? hangingMm;
}

interface Lying {
  assembly: Assembly;
  laid: Laid | null;
}

/** What a wire is cut to; null where an end of it hangs in the air. */
function cutMm(lying: Lying, wire: Wire, schools: Plan['schools'] = {}): number | null {
  return partsOf(lying, wire, schools)?.mm ?? null;
}

function partsOf({ assembly, laid }: Lying, wire: Wire, schools: Plan['schools']): CutParts | null {
  const ends = endsOf(assembly, wire);
  return ends && cutPartsOf(assembly, { wire, ends, runMm: wayMm(assembly, laid, ends) }, schools);
}

/** What its way takes of a wire as its parts lie; null where an end of it hangs in the air. */
export function waysOf(assembly: Assembly, wire: Wire, schools: Plan['schools']): CutParts | null {
  return partsOf({ assembly, laid: laidAsPlanned(assembly) }, wire, schools);
}

/**
 * To where a wire leaves its pad: "front left". null without a frame, where an end hangs in the air, and while nobody
 * has said where its parts lie.
 */
export function leavesTo(assembly: Assembly, wire: Wire, end: 0 | 1): string | null {
  const laid = laidAsPlanned(assembly);
  const ends = endsOf(assembly, wire);
  if (!laid || !ends?.every((ref) => lookUp(assembly.build.slots, splitRef(ref).slot)?.pose)) return null;
  const { points } = routeBetween(laid, ends[0], ends[1]);
  const [from, to] = end === 0 ? points : points.toReversed();
  return directionOf(to![0] - from![0], to![1] - from![1]);
}

/** Of eight; nearer than this to straight is straight. */
const straight = Math.tan(Math.PI / 8);

function directionOf(right: number, forward: number): string | null {
  const along = Math.abs(forward) > straight * Math.abs(right) ? [forward > 0 ? 'front' : 'back'] : [];
  const across = Math.abs(right) > straight * Math.abs(forward) ? [right > 0 ? 'right' : 'left'] : [];
  return [...along, ...across].join(' ') || null;
}

/**
 * The build with a length for every wire that has none, as its parts lie best. All wires of a lead are as long as its
 * longest.
 * @param schools Of the plan: slack and solder.
 */
export function withLengths(assembly: Assembly, schools: Plan['schools'] = {}): Build {
  const { build } = assembly;
  const open = Object.values(build.wires).filter(({ lengthMm }) => lengthMm === null);
  if (open.length === 0) return build;
  const laid = laidOut(assembly, bestLay(assembly).poses);
  const cut = new Map(open.map((wire) => [wire.id, cutMm({ assembly, laid }, wire, schools)]));
  const longest = (bundle: string) =>
    Math.max(...open.filter((one) => one.bundle === bundle).map(({ id }) => cut.get(id) ?? 0));
  const lengthOf = ({ id, from, bundle }: Wire) =>
    from === 'supplied' && bundle !== undefined ? longest(bundle) || null : cut.get(id)!;
  const wires = open.map((wire) => [wire.id, { ...wire, lengthMm: lengthOf(wire) }]);
  return { ...build, wires: { ...build.wires, ...(Object.fromEntries(wires) as Build['wires']) } };
}
