/**
 * The least work from one small build to another, by searching all states (uniform cost). A joint opened or made, a
 * plug pulled or set, a part taken off or put on each cost one; a part comes off only when no foreign joint is on it.
 */
import type { Build, WireEnd } from '@junctor/core';

interface State {
  /** Model by slot. */
  parts: Readonly<Record<string, string>>;
  /** Landing of each end by wire: a terminal, or null for air; a wire that is gone is not here. */
  wires: Readonly<Record<string, readonly [string | null, string | null]>>;
}

const landedOn = ({ at }: WireEnd) => (at.on === 'terminal' ? at.ref : null);
const slotOf = (ref: string) => ref.split('.')[0]!;

function stateOf(build: Build): State {
  return {
    parts: Object.fromEntries(
      Object.entries(build.slots)
        .map(([slot, { model }]) => [slot, model])
        .sort(),
    ),
    wires: Object.fromEntries(
      Object.entries(build.wires)
        .map(([id, { ends }]) => [id, [landedOn(ends[0]), landedOn(ends[1])] as const])
        .sort(),
    ),
  };
}

/** Cost of the cheapest way; Infinity when there is none within `most`. */
export function minActs(from: Build, to: Build, most: number): number {
  const [start, goal] = [stateOf(from), stateOf(to)];
  const key = (state: State) =>
    JSON.stringify([Object.entries(state.parts).sort(), Object.entries(state.wires).sort()]);
  const done = new Set<string>();
  const open: State[][] = [[start]];
  for (let cost = 0; cost <= most; cost++) {
    for (const state of open[cost] ?? []) {
      const name = key(state);
      if (done.has(name)) continue;
      if (name === key(goal)) return cost;
      done.add(name);
      for (const next of steps(state, goal)) (open[cost + next.cost] ??= []).push(next.state);
    }
  }
  return Infinity;
}

function steps({ parts, wires }: State, goal: State): { state: State; cost: number }[] {
  const found: { state: State; cost: number }[] = [];
  const places = new Set(Object.values(goal.wires).flatMap((ends) => ends.flatMap((end) => end ?? [])));
  for (const [id, ends] of Object.entries(wires)) {
    for (const end of [0, 1] as const) {
      const set = (at: string | null): State => ({
        parts,
        wires: { ...wires, [id]: end === 0 ? [at, ends[1]] : [ends[0], at] },
      });
      if (ends[end]) found.push({ state: set(null), cost: 1 });
      else for (const at of places) if (slotOf(at) in parts) found.push({ state: set(at), cost: 1 });
    }
    const { [id]: _gone, ...rest } = wires;
    found.push({ state: { parts, wires: rest }, cost: ends.filter(Boolean).length });
  }
  for (const id of Object.keys(goal.wires))
    if (!(id in wires)) found.push({ state: { parts, wires: { ...wires, [id]: [null, null] } }, cost: 0 });
  for (const slot of Object.keys(parts)) {
    if (Object.values(wires).some((ends) => ends.some((end) => end && slotOf(end) === slot))) continue;
    const { [slot]: _gone, ...rest } = parts;
    found.push({ state: { parts: rest, wires }, cost: 1 });
  }
  for (const [slot, model] of Object.entries(goal.parts))
    if (!(slot in parts)) found.push({ state: { parts: { ...parts, [slot]: model }, wires }, cost: 1 });
  return found;
}
