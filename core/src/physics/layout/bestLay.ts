/**
 * Where each part goes and how it is turned: of all that the frame allows what leaves no margin "no", then the shortest
 * harness, where a board whose arrow does not point forward weighs like 30 mm of it: its outputs and its alignment must
 * then be set otherwise. Branch and bound over all poses; what a part costs at least, beside those that stand already,
 * bounds what is left. Proven unless the limit of tries is reached.
 */
import type { Assembly } from '../../facts/assembly/assembly';
import { remembered } from '../../facts/assembly/assembly';
import type { Pose } from '../../facts/assembly/build';
import { liesByArrow } from '../../facts/catalogue/kinds';
import type { Slot } from '../../facts/terms/names';
import { openSlots, posesFor } from './candidates';
import { Harness } from './harness';
import type { Laid } from './laid';
import { laidOut } from './laid';
import { marginsOf } from './layoutMargins';
import { betweenBoardsMargins } from './margins/betweenBoards';
import { angle, withPose } from './turned';

export interface Lay {
  /** Of parts that the plan leaves open; one that no place is left for is not among them. */
  poses: ReadonlyMap<Slot, Pose>;
  isProven: boolean;
}

/** In mm of harness: more than any harness is long; a part without a place is worse than one that does not fit. */
const [noMm, noPlaceMm, turnedMm] = [1e6, 1e7, 30];
const mostTries = 100_000;

interface Choice {
  pose: Pose | null;
  /** By itself: margins that do not hold, wires to parts that stand already, an arrow that does not point forward. */
  costMm: number;
}

export const bestLay = remembered((assembly: Assembly): Lay => {
  const laid = laidOut(assembly);
  if (!laid) return { poses: new Map(), isProven: true };
  const slots = openSlots(laid);
  const isOpen = new Set(slots);
  const harness = new Harness(laid);
  const choices = slots.map((slot) => choicesFor(laid, slot, { harness, isOpen }));
  const search = new Search(laid, slots, { harness, choices });
  search.from(0, 0);
  return { poses: search.best, isProven: search.tries < mostTries };
});

function choicesFor(
  laid: Laid,
  slot: Slot,
  { harness, isOpen }: { harness: Harness; isOpen: ReadonlySet<Slot> },
): Choice[] {
  const fixed = harness.joined(slot).filter((other) => !isOpen.has(other));
  const model = laid.assembly.model(slot)!;
  const arrow = liesByArrow(model.kind) ? model.body.arrowDeg : null;
  const all = posesFor(laid, slot).map((pose): Choice => {
    const no = marginsOf(withPose(laid, slot, pose), slot).filter(({ verdict }) => verdict === 'no').length;
    const wiresMm = fixed.reduce(
      (sum, other) => sum + wiresCost(harness.between([slot, pose], [other, laid.poses.get(other)!])),
      0,
    );
    const isTurned =
      arrow !== null && laid.places.get(pose.place)?.kind === 'stack' && angle(pose.yawDeg + arrow - 90) !== 0;
    return { pose, costMm: no * noMm + wiresMm + (isTurned ? turnedMm : 0) };
  });
  return [...all, { pose: null, costMm: noPlaceMm }].sort((a, b) => a.costMm - b.costMm);
}

const wiresCost = ({ mm, isShort }: { mm: number; isShort: boolean }) => mm + (isShort ? noMm : 0);

class Search {
  best: ReadonlyMap<Slot, Pose> = new Map();
  tries = 0;
  private leastMm = Infinity;
  private readonly standing = new Map<Slot, Pose>();
  private readonly taken = new Set<string>();
  private readonly pairMm = new Map<string, number>();

  constructor(
    private readonly laid: Laid,
    private readonly slots: readonly Slot[],
    private readonly by: { harness: Harness; choices: readonly (readonly Choice[])[] },
  ) {}

  from(index: number, spentMm: number): void {
    if (this.tries >= mostTries) return;
    this.tries += 1;
    if (index === this.slots.length) {
      if (spentMm < this.leastMm) [this.leastMm, this.best] = [spentMm, new Map(this.standing)];
      return;
    }
    const slot = this.slots[index]!;
    const open = this.allowed(index).map(({ choice, number }) => ({
      ...choice,
      allMm: spentMm + choice.costMm + (choice.pose ? this.besideMm(index, number, choice.pose) : 0),
    }));
    open.sort((a, b) => a.allMm - b.allMm);
    for (const { pose, allMm } of open) {
      // Sorted: what follows costs no less.
      if (allMm >= this.leastMm) return;
      this.put(slot, pose);
      if (allMm + this.leastLeftMm(index + 1) < this.leastMm) this.from(index + 1, allMm);
      this.take(slot, pose);
    }
  }

  /** Choices of a part in places that nobody else is in. */
  private allowed(index: number): { choice: Choice; number: number }[] {
    return this.by.choices[index]!.flatMap((choice, number) =>
      choice.pose && this.taken.has(choice.pose.place) ? [] : [{ choice, number }],
    );
  }

  private put(slot: Slot, pose: Pose | null): void {
    if (!pose) return;
    this.standing.set(slot, pose);
    if (!this.isShared(pose)) this.taken.add(pose.place);
  }

  private take(slot: Slot, pose: Pose | null): void {
    if (!pose) return;
    this.standing.delete(slot);
    if (!this.isShared(pose)) this.taken.delete(pose.place);
  }

  /** Boards of a stack stand over each other. */
  private isShared({ place }: Pose): boolean {
    return this.laid.places.get(place)?.kind === 'stack';
  }

  /** What the parts that are still open cost at least. */
  private leastLeftMm(from: number): number {
    let sum = 0;
    for (let index = from; index < this.slots.length; index += 1) {
      let least = Infinity;
      for (const { choice, number } of this.allowed(index)) {
        if (choice.costMm >= least) break;
        least = Math.min(least, choice.costMm + (choice.pose ? this.besideMm(index, number, choice.pose) : 0));
      }
      sum += least;
    }
    return sum;
  }

  /** Wires to parts that stand already, and boards of the stack that touch. */
  private besideMm(index: number, number: number, pose: Pose): number {
    const slot = this.slots[index]!;
    let sum = 0;
    for (const [other, at] of this.standing) sum += this.betweenMm([slot, pose, number], [other, at]);
    return sum;
  }

  private betweenMm([slot, pose, number]: readonly [Slot, Pose, number], [other, at]: readonly [Slot, Pose]): number {
    const key = `${slot} ${number} ${other} ${at.place} ${at.yawDeg} ${at.face}`;
    const known = this.pairMm.get(key);
    if (known !== undefined) return known;
    const wires = wiresCost(this.by.harness.between([slot, pose], [other, at]));
    const touching = this.isShared(pose) && pose.place === at.place ? this.touching([slot, pose], [other, at]) : 0;
    const mm = wires + touching * noMm;
    this.pairMm.set(key, mm);
    return mm;
  }

  private touching([slot, pose]: readonly [Slot, Pose], [other, at]: readonly [Slot, Pose]): number {
    const both = withPose(withPose(this.laid, slot, pose), other, at);
    return betweenBoardsMargins(both).filter(
      ({ slots, verdict }) => verdict === 'no' && slots.includes(slot) && slots.includes(other),
    ).length;
  }
}
