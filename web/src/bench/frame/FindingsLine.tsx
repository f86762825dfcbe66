/** The worst finding on what is built so far, or something quieter when there is none. */
import { judge, assemble } from '@junctor/core';
import { useMemo } from 'react';
import type { Bench } from '../provider/bench';
import { useBench } from '../provider/useBench';

export function FindingsLine({ otherwise }: { otherwise: string }) {
  const bench = useBench();
  const { plan } = bench.job;
  // What only works badly by the plan itself was known before the iron was on: the wiring screen says it.
  const known = useMemo(
    () =>
      new Set(
        judge(assemble(plan.target, bench.catalogue), plan.links, plan.cells)
          .filter(({ severity }) => severity === 'warn')
          .map(({ key }) => key),
      ),
    [plan, bench.catalogue],
  );
  const worst = bench.state.findings.find(({ key }) => !known.has(key));
  const short = shortAt(bench);
  if (!worst)
    return short ? (
      <strong role="alert">
        {short}. {otherwise}
      </strong>
    ) : (
      <>{otherwise}</>
    );
  return (
    <strong role="alert">
      {severityWord[worst.severity]}: {worst.message}
    </strong>
  );
}

/** What was counted short on the table and is needed now. */
function shortAt({ state: { steps, current } }: Bench): string | null {
  const line = steps.find(
    (step) =>
      step.verb === 'count' && step.blockedReason !== null && current !== null && step.line.steps.includes(current.id),
  );
  return line?.blockedReason ?? null;
}

export const severityWord = { kill: 'Destroys hardware', stop: 'Will not work', warn: 'Works badly' } as const;
