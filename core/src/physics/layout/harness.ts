/** How long the wires between two parts are together, in each of their poses, and whether a supplied one is short. */
import type { Pose } from '../../facts/assembly/build';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { lookUp } from '../../facts/terms/lookUp';
import { lying } from '../geometry/place';
import type { Exit } from './exits';
import { exitOf, turnIntoMm } from './exits';
import type { Laid } from './laid';
import { distance, gatesOf, routeBetween, routeMap, wayBetween } from './routes';
import { runsBetween } from './runs';
import { cableRuns } from './cables';
import { suppliedReachMm } from './supplied';

interface Join {
  ends: readonly [TerminalRef, TerminalRef];
  /** How far it reaches, where it came with its part. */
  reachMm: number;
  /** Which way each end leaves, where that is known. */
  exits: readonly [Exit | null, Exit | null];
  /** Nothing is saved by a shorter way: its length is what it is. */
  isCable: boolean;
}

/** Wires and cables by the two parts that they join; within one part they are no harness. */
export class Harness {
  private readonly joins = new Map<Slot, Map<Slot, Join[]>>();
  private readonly gates = new Map<string, readonly string[]>();

  constructor(private readonly laid: Laid) {
    for (const { wire, ends, slots } of runsBetween(laid)) {
      const reachMm = suppliedReachMm(wire) ?? Infinity;
      const exits = [exitOf(laid.assembly, ends[0]), exitOf(laid.assembly, ends[1])] as const;
      this.add(slots, { ends, reachMm, exits, isCable: false });
    }
    for (const { cable, ends, endsMm, slots } of cableRuns(laid))
      this.add(slots, { ends, reachMm: cable.lengthMm - endsMm, exits: [null, null], isCable: true });
  }

  private add([a, b]: readonly [Slot, Slot], join: Join): void {
    const { ends, exits } = join;
    this.addFrom(a, b, join);
    this.addFrom(b, a, { ...join, ends: [ends[1], ends[0]], exits: [exits[1], exits[0]] });
  }

  private addFrom(from: Slot, to: Slot, join: Join): void {
    const own = this.joins.get(from) ?? new Map<Slot, Join[]>();
    own.set(to, [...(own.get(to) ?? []), join]);
    this.joins.set(from, own);
  }

  /** Parts that wires go to from this one. */
  joined(slot: Slot): readonly Slot[] {
    return [...(this.joins.get(slot)?.keys() ?? [])];
  }

  /** All wires between two parts in these poses, in mm, and whether a supplied one is too short. */
  between([a, poseA]: readonly [Slot, Pose], [b, poseB]: readonly [Slot, Pose]): { mm: number; isShort: boolean } {
    const { places, frame, assembly } = this.laid;
    const at = (ref: TerminalRef, pose: Pose) => lying(pose, assembly.terminal(ref)!.atMm);
    const isStraight = poseA.place === poseB.place && places.has(poseA.place);
    const total = { mm: 0, isShort: false };
    for (const { ends, reachMm, exits, isCable } of this.joins.get(a)?.get(b) ?? []) {
      const [start, end] = [at(ends[0], poseA), at(ends[1], poseB)];
      const { mm, gates } = isStraight
        ? { mm: distance(start, end), gates: null }
        : wayBetween(frame, [start, this.gatesOf(poseA)], [end, this.gatesOf(poseB)]);
      if (!isCable) total.mm += mm;
      const via = gates && exits.some(Boolean) ? routeMap(frame).way(...gates) : [];
      const way = [start, ...via.map((name) => lookUp(frame.route.points, name)!), end];
      const first = exits[0] ? turnIntoMm(exits[0], poseA, way) : 0;
      const last = exits[1] ? turnIntoMm(exits[1], poseB, way.toReversed()) : 0;
      total.isShort ||= mm + first + last > reachMm;
    }
    return total;
  }

  private gatesOf(pose: Pose): readonly string[] {
    const key = this.laid.places.has(pose.place) ? pose.place : pose.atMm.join(' ');
    const gates = this.gates.get(key) ?? gatesOf(this.laid, pose);
    this.gates.set(key, gates);
    return gates;
  }
}

/** All wires of a layout, in mm. */
export function harnessMm(laid: Laid): number {
  return runsBetween(laid).reduce((sum, { ends }) => sum + routeBetween(laid, ...ends).mm, 0);
}
