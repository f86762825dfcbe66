/** Walking the ends of wires one by one, with what the rules say of each. */
import { jointName, splitJoint } from '@junctor/core';
import { useMemo, useState } from 'react';
import type { Bench } from '../../bench/provider/bench';
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

/** `at`: the joint, or the wire, that the address names; null begins with what the rules say worst. */
export function useWalk(bench: Bench, at: string | null, go: (joint: string) => void): Walk {
  const { state } = bench;
  // The bench is another object at each render; what the ends come from is not.
  const ends = useMemo(() => walkedEnds({ state }), [state]);
  const endOf = (wires: readonly string[]) => ends.find(({ wire }) => wires.includes(wire.id)) ?? null;
  const said = useSaid(bench);
  const [worst] = useState(at === null ? (said[0] ?? null) : null);
  const begun = endOf(worst?.finding.wires ?? []) ?? ends[0];
  const here =
    at === null
      ? (begun ?? null)
      : (ends.find((end) => nameOf(end) === at) ?? endOf([splitJoint(at)?.wire ?? at]) ?? null);
  const place = Math.max(0, here ? ends.indexOf(here) : 0);
  const findings = useFindings(bench, said, here?.wire.id ?? null, worst?.finding.key ?? null);
  return {
    ends,
    here,
    place,
    findings,
    by: (steps) => {
      findings.letGo();
      go(nameOf(ends[(place + steps + ends.length) % ends.length]!));
    },
    nextFinding: () => {
      const there = endOf(findings.next()?.finding.wires ?? []);
      if (there) go(nameOf(there));
    },
  };
}

function nameOf({ wire, end }: WalkedEnd): string {
  return jointName(wire.id, end);
}
