/** One list worked out in a worker thread, from the same source as everything else, put into one file for speed. */
import { createHash } from 'node:crypto';
import { mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { TouchList } from '@junctor/core';
import { build } from 'esbuild';
import type { ListNews, ListProgress, ListRequest } from './listWorker';

/** Beside the packages, so that the solver is found from there. */
const folder = join(import.meta.dirname, '..', '..', '..', 'node_modules', '.cache', 'junctor');

let file: Promise<string> | null = null;

interface Watching {
  onProgress: (now: ListProgress) => void;
  /** Ends the work: nobody wants it any more. */
  signal: AbortSignal;
}

/** @throws {Error} With why there is no list. */
export async function listInWorker(request: ListRequest, { onProgress, signal }: Watching): Promise<TouchList> {
  file ??= bundled();
  const worker = new Worker(await file, { workerData: request, execArgv: [] });
  try {
    return await new Promise<TouchList>((resolve, reject) => {
      worker.on('message', (news: ListNews) => {
        if (!('made' in news)) onProgress(news);
        else if (news.made.is === 'listed') resolve(news.made.list);
        else reject(new Error(news.made.why));
      });
      signal.addEventListener('abort', () => reject(signal.reason as Error), { once: true });
      worker.once('error', reject);
      worker.once('exit', (code) => reject(new Error(`the work ended by itself (${code})`)));
    });
  } finally {
    await worker.terminate();
  }
}

/** Named by what is in it: several servers may make it at once. */
async function bundled(): Promise<string> {
  const { outputFiles } = await build({
    entryPoints: [join(import.meta.dirname, 'listWorker.ts')],
    bundle: true,
    platform: 'node',
    format: 'esm',
    external: ['highs'],
    write: false,
  });
  const { text } = outputFiles[0]!;
  const path = join(folder, `list-${createHash('sha256').update(text).digest('hex').slice(0, 16)}.mjs`);
  mkdirSync(folder, { recursive: true });
  writeFileSync(`${path}.${process.pid}`, text);
  renameSync(`${path}.${process.pid}`, path);
  return path;
}
