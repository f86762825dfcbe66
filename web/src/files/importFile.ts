/** Sends a catalogue file and follows its progress; refused whole, with every fault, or taken whole. */
import type { PartModel, Refusal } from '@junctor/core';

export interface ImportFault {
  path: string;
  message: string;
}

type ImportResult =
  { ok: true; added: number; known: number } | { ok: false; message: string; faults: readonly ImportFault[] };

export const largestBytes = 64 * 1024 * 1024;

export async function importText(text: string, progress: (done: number, of: number) => void): Promise<ImportResult> {
  const response = await fetch('/api/catalogue/import', {
    method: 'POST',
    credentials: 'same-origin',
    headers: { 'content-type': 'application/octet-stream' },
    body: text,
  }).catch(() => null);
  if (!response) return { ok: false, message: 'No answer from the server. Nothing was stored.', faults: [] };
  if (!response.ok || !response.body) {
    const refusal = (await response.json().catch(() => null)) as Refusal | null;
    return { ok: false, message: refusal?.message ?? 'The server could not do that. Nothing was stored.', faults: [] };
  }
  let last: Record<string, unknown> = {};
  let rest = '';
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const lines = (rest + part.value).split('\n');
    rest = lines.pop()!;
    for (const line of lines) {
      last = JSON.parse(line) as Record<string, unknown>;
      if (typeof last.done === 'number') progress(last.done, last.of as number);
    }
  }
  if (typeof last.added === 'number') return { ok: true, added: last.added, known: last.known as number };
  return {
    ok: false,
    message:
      (last.refused as string | undefined) ?? 'The answer broke off. Look whether it was stored before trying again.',
    faults: (last.mistakes as ImportFault[] | undefined) ?? [],
  };
}

export function importModels(models: readonly PartModel[]): Promise<ImportResult> {
  return importText(JSON.stringify({ format: 'junctor-catalogue', version: 1, models }), () => {});
}
