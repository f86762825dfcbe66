/**
 * The ends of wires that are walked one by one: those of the plan, and those of the quad that the plan does not have.
 */
import type { TerminalRef, Wire } from '@junctor/core';
import { padWords, retained, splitRef, terminalUnder, wireWords } from '@junctor/core';
import type { Bench } from '../../bench/provider/bench';

export interface WalkedEnd {
  wire: Wire;
  end: 0 | 1;
  /** Where the plan wants it; null for what comes off. */
  planned: TerminalRef | null;
  /** Where it is now; null while it is not landed, or only on a part that goes. */
  now: TerminalRef | null;
  /** A contact in a plug: it is moved in the plug, not by the iron. */
  plugged: boolean;
}

export function walkedEnds({ state: { target, asBuilt } }: Pick<Bench, 'state'>): WalkedEnd[] {
  const there = retained(asBuilt, target.build);
  const ends = (wire: Wire, inPlan: boolean) =>
    ([1, 0] as const).flatMap((end): WalkedEnd[] => {
      const { by } = wire.ends[end];
      const at = by === 'factory' ? null : terminalUnder(inPlan ? target : asBuilt, wire.ends[end]);
      if (!at) return [];
      const built = there.build.wires[wire.id];
      const nowOf = () => {
        if (!inPlan) return at;
        if (built) return terminalUnder(there, built.ends[end]);
        return null;
      };
      return [
        {
          wire,
          end,
          planned: inPlan ? at : null,
          now: nowOf(),
          plugged: by === 'crimp',
        },
      ];
    });
  const { wires } = target.build;
  const old = Object.values(asBuilt.build.wires).filter(({ id }) => !(id in wires));
  return [...Object.values(wires).flatMap((wire) => ends(wire, true)), ...old.flatMap((wire) => ends(wire, false))];
}

/** "○ red → R2" while planned, "● M3 B → B3" when landed there, "╱ red off R2" for what comes off. */
export function endWords(bench: Bench, { wire, planned, now }: WalkedEnd): string {
  const { target, asBuilt } = bench.state;
  if (!planned) return `╱ ${shortWords(wire)} off ${padWords(now!, asBuilt)}`;
  const glyphOf = () => {
    if (now === planned) return '●';
    if (now) return '▲';
    return '○';
  };
  return `${glyphOf()} ${shortWords(wire)} → ${padWords(planned, target)}`;
}

/** What a wire is called, also when the plan does not have it. */
export function walkedWords(bench: Bench, { wire, planned }: WalkedEnd): string {
  const { target, asBuilt } = bench.state;
  return wireWords(wire, planned ? target : asBuilt);
}

/** A lead by its part, another wire by its colour: what fits between the hands. */
function shortWords({ tailOf, colour }: Wire): string {
  if (!tailOf) return colour;
  const { slot, terminal } = splitRef(tailOf);
  return `${slot} ${terminal}`;
}
