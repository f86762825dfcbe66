/** The ends of wires that are walked one by one: those of the plan, and those of the quad that the plan does not have. */
import type { TerminalRef, Wire } from '@junctor/core';
import { landedOn, padWords, wireWords } from '@junctor/core';
import type { Bench } from '../job/useBench';

export interface WalkedEnd {
  wire: Wire;
  end: 0 | 1;
  /** Where the plan wants it; null for what comes off. */
  planned: TerminalRef | null;
  /** Where it is now; null while it is not landed. */
  now: TerminalRef | null;
}

export function walkedEnds({ state: { words, asBuilt } }: Bench): WalkedEnd[] {
  const ends = (wire: Wire, inPlan: boolean) => ([1, 0] as const).flatMap((end): WalkedEnd[] => {
    const built = asBuilt.wires[wire.id];
    const at = landedOn(wire.ends[end]);
    return wire.ends[end].by === 'solder' && at ? [{ wire, end, planned: inPlan ? at : null, now: built ? landedOn(built.ends[end]) : null }] : [];
  });
  const old = Object.values(asBuilt.wires).filter(({ id }) => !(id in words.build.wires));
  return [...Object.values(words.build.wires).flatMap((wire) => ends(wire, true)), ...old.flatMap((wire) => ends(wire, false))];
}

/** "→ R2", "● on R2", "● R2 comes off". */
export function endWords(bench: Bench, { wire, planned, now }: WalkedEnd): string {
  const { words, asBuilt } = bench.state;
  if (!planned) return `● ${wire.id}: ${padWords(now!, { ...words, build: asBuilt })} comes off`;
  return `${now === planned ? '●' : now ? '▲' : '○'} ${wire.id} → ${padWords(planned, words)}`;
}

/** What a wire is called, also when the plan does not have it. */
export function walkedWords(bench: Bench, { wire, planned }: WalkedEnd): string {
  const { words, asBuilt } = bench.state;
  return wireWords(wire, planned ? words : { ...words, build: asBuilt });
}
