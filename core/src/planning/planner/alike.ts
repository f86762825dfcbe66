/**
 * Parts that can stand for one another: of such only the number matters. What is served of them is served in order, a
 * strip hands its data on to the next of its like, and what stands against many is said of as many as it takes. That
 * loses no wiring but those that differ from another by an exchange of parts that are alike.
 */
import { lookUp } from '../../facts/terms/lookUp';
import type { Slot } from '../../facts/terms/names';
import { compareNames } from '../../facts/terms/names';
import type { Constraint, Terms } from '../../facts/terms/solver';
import { takesPart } from './needs';
import type { PlanRequest } from './request';
import { partsNamed } from './restricted';
import type { Option } from './ways';
import type { WiringInput } from './wiringVariables';
import { dropName } from './wiringVariables';

/**
 * Runs of parts that are alike, in order of slots: one model in one place, with one wish at most and the same, those
 * that must be before those that may, nothing chosen by hand; none where something is wired already.
 */
export function alikeParts({ slots, catalogue, wishes, pinned, keep }: PlanRequest): Slot[][] {
  if (keep) return [];
  const chosen = new Set(pinned.flatMap((pin) => [pin.of, ...partsNamed(pin)]));
  const wishesOf = (slot: Slot) => wishes.filter(({ of }) => of === slot);
  const isMust = (slot: Slot) => wishesOf(slot).some(({ must }) => must);
  const looks = (slot: Slot) => {
    const { model, revision, pose } = lookUp(slots, slot)!;
    const asked = wishesOf(slot).map(({ purpose, lossIfDropped, ways }) => [purpose, lossIfDropped, ways]);
    return JSON.stringify([model, revision, pose, asked]);
  };
  const isFree = (slot: Slot) => {
    const own = wishesOf(slot);
    return own.length <= 1 && !chosen.has(slot) && !own.some(({ id }) => chosen.has(id));
  };
  const runs: Slot[][] = [];
  let open: { looks: string; run: Slot[] } | null = null;
  for (const slot of Object.keys(slots).sort(compareNames)) {
    if (!takesPart(catalogue.model(lookUp(slots, slot)!))) continue;
    const own = looks(slot);
    const before = open?.looks === own ? open.run.at(-1)! : null;
    if (!isFree(slot)) open = null;
    else if (open && before && (isMust(before) || !isMust(slot))) open.run.push(slot);
    else runs.push((open = { looks: own, run: [slot] }).run);
  }
  return runs.filter((run) => run.length > 1);
}

/** True unless a part would hang on one that is its like and is not the one right before it. */
export function isInTurn({ way, ends }: Option, runs: readonly (readonly Slot[])[]): boolean {
  const [guest, host] = ends.map(({ slot }) => slot);
  const run = way === 'chained' ? runs.find((run) => run.includes(guest!)) : undefined;
  return !run?.includes(host!) || run.indexOf(host!) === run.indexOf(guest!) - 1;
}

/** Of parts that are alike none is served before the one that comes before it. */
export function servedInTurn(
  { alike, wishes }: Pick<WiringInput, 'alike' | 'wishes'>,
  add: (terms: Terms, is: Constraint['is'], value: number) => void,
): void {
  const asked = new Map(wishes.map(({ of, id }) => [of, id]));
  for (const run of alike)
    for (const [index, slot] of run.slice(1).entries()) {
      const [before, after] = [asked.get(run[index]!), asked.get(slot)];
      if (!before || !after) continue;
      add(
        [
          [dropName(before), 1],
          [dropName(after), -1],
        ],
        '<=',
        0,
      );
    }
}

/** Names in groups of those that are alike, in the order in which they came; `partOf` says which part a name is of. */
export function grouped<T>(names: readonly T[], partOf: (name: T) => Slot, runs: readonly (readonly Slot[])[]): T[][] {
  const groups = new Map<string, T[]>();
  for (const name of names) {
    const run = runs.findIndex((run) => run.includes(partOf(name)));
    const key = run >= 0 ? `run ${run}` : `${String(name)}`;
    groups.set(key, [...(groups.get(key) ?? []), name]);
  }
  return [...groups.values()];
}
