/** The worst finding on what is built so far, or something quieter when there is none. */
import type { Bench } from './useBench';

export function FindingsLine({ bench, otherwise }: { bench: Bench; otherwise: string }) {
  const [worst] = bench.state.findings;
  if (!worst) return <>{otherwise}</>;
  return <strong role="alert">{severityWord[worst.severity]}: {worst.says}</strong>;
}

export const severityWord = { kill: 'Destroys hardware', stop: 'Will not work', warn: 'Works badly' } as const;
