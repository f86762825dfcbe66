/** The job that a screen is inside of. */
import { createContext, useContext } from 'react';
import type { Bench } from './bench';

export const BenchContext = createContext<Bench | null>(null);

/** @throws {Error} Outside a BenchProvider: the route of the screen belongs under `jobs/:jobId` in routes.tsx. */
export function useBench(): Bench {
  const bench = useContext(BenchContext);
  if (!bench) throw new Error('This screen stands outside a job: put its route under jobs/:jobId in routes.tsx');
  return bench;
}
