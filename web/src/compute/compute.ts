/** The page's end of the worker. */
import type { Remote } from 'comlink';
import { wrap } from 'comlink';
import type { Compute } from './worker';

let remote: Remote<Compute> | null = null;

export function compute(): Remote<Compute> {
  remote ??= wrap<Compute>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}
