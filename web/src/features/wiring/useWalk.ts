/** Walking the ends of wires one by one, with what the rules say of each. */
import { jointName } from '@junctor/core';
import { useMemo, useState } from 'react';
import type { Bench } from '../job/useBench';
import type { Findings } from './FindingHere';
import { useFindings, useSaid } from './FindingHere';
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
  const { state } = bench;
  // The bench is another object at each render; what the ends come from is not.
  const ends = useMemo(() => walkedEnds({ state }), [state]);
  const endOf = (wires: readonly string[]) => ends.find(({ wire }) => wires.includes(wire.id)) ?? null;
  const said = useSaid(bench);
  const [worst] = useState(first === null ? (said[0] ?? null) : null);
  // By name: a plan that changes meanwhile moves the places of ends, not the end in question.
  const [joint, setJoint] = useState(() =>
    nameOf(endOf(first === null ? (worst?.finding.wires ?? []) : [first]) ?? ends[0]),
  );
  const place = Math.max(
    0,
    ends.findIndex((end) => nameOf(end) === joint),
  );
  const here = ends[place] ?? null;
  const findings = useFindings(bench, said, here?.wire.id ?? null, worst?.finding.key ?? null);
  return {
    ends,
    here,
    place,
    findings,
    by: (steps) => {
      findings.letGo();
      setJoint(nameOf(ends[(place + steps + ends.length) % ends.length]));
    },
    nextFinding: () => {
      const there = endOf(findings.next()?.finding.wires ?? []);
      if (there) setJoint(nameOf(there));
    },
  };
}

function nameOf(end: WalkedEnd | undefined): string {
  return end ? jointName(end.wire.id, end.end) : '';
}
