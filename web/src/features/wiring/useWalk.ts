/** Walking the ends of wires one by one, with what the rules say of each. */
import { useMemo, useState } from 'react';
import type { Bench } from '../job/useBench';
import type { Findings } from './FindingHere';
import { useFindings } from './FindingHere';
import type { WalkedEnd } from './landings';
import { walkedEnds } from './landings';

export interface Walk {
  ends: readonly WalkedEnd[];
  /** null: there is no wire. */
  here: WalkedEnd | null;
  /** Its place among the ends. */
  place: number;
  findings: Findings;
  /** By so many ends, round and round. */
  by: (steps: number) => void;
  /** To the next finding, and to the first end of a wire that it is about. */
  nextFinding: () => void;
}

/** `first`: the wire to begin with; null begins with what the rules say worst. */
export function useWalk(bench: Bench, first: string | null): Walk {
  const { state, catalogue } = bench;
  // The bench is another object at each render; what the ends come from is not.
  const ends = useMemo(() => walkedEnds({ state, catalogue }), [state, catalogue]);
  const [at, setAt] = useState<number | null>(first === null ? null : Math.max(0, ends.findIndex(({ wire }) => wire.id === first)));
  const findings = useFindings(bench, at === null ? null : (ends[Math.min(at, ends.length - 1)]?.wire.id ?? null), first === null);
  const endOf = (wires: readonly string[] | undefined) => ends.findIndex(({ wire }) => wires?.includes(wire.id));
  const place = Math.min(at ?? Math.max(0, endOf(findings.shown?.finding.wires)), Math.max(0, ends.length - 1));
  return {
    ends, here: ends[place] ?? null, place, findings,
    by: (steps) => {
      findings.letGo();
      setAt((place + steps + ends.length) % ends.length);
    },
    nextFinding: () => {
      const there = endOf(findings.next()?.finding.wires);
      if (there >= 0) setAt(there);
    },
  };
}
