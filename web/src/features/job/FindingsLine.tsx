/** The worst finding on what is built so far, or something quieter when there is none. */
import type { Bench } from './useBench';

export function FindingsLine({ bench, otherwise }: { bench: Bench; otherwise: string }) {
  const [worst] = bench.state.findings;
  const short = shortAt(bench);
  if (!worst) return short ? <strong role="alert">{short}. {otherwise}</strong> : <>{otherwise}</>;
  return <strong role="alert">{severityWord[worst.severity]}: {worst.says}</strong>;
}

/** What was counted short on the table and is needed now. */
function shortAt({ state: { steps, current } }: Bench): string | null {
  const line = steps.find((step) => step.verb === 'count' && step.against !== null && current !== null && step.line.steps.includes(current.id));
  return line?.against ?? null;
}

export const severityWord = { kill: 'Destroys hardware', stop: 'Will not work', warn: 'Works badly' } as const;
