/** The log of a quad: what the server has stored, kept up by polling, and what this tablet still keeps. */
import type { QueryClient } from '@tanstack/react-query';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { request } from './client';
import { keys } from './keys';
import { useKeptBatches } from './outbox';
import type { NamedRecord } from './types';

const pollMs = 3000;

/** Records by seq, then those that are kept here; undefined until the first answer. */
export function useLog(quadId: string | undefined): readonly NamedRecord[] | undefined {
  const client = useQueryClient();
  const batches = useKeptBatches();
  const query = useQuery({
    queryKey: keys.log(quadId ?? ''),
    enabled: quadId !== undefined,
    refetchInterval: pollMs,
    // Records never change: what is known keeps its identity without being compared.
    structuralSharing: false,
    queryFn: async () => {
      const known = () => client.getQueryData<NamedRecord[]>(keys.log(quadId!)) ?? [];
      const later = await request<NamedRecord[]>('GET', `/quads/${quadId}/records?after=${known().at(-1)?.seq ?? 0}`);
      return merged(known(), later);
    },
  });
  const { data } = query;
  return useMemo(() => {
    if (!data) return undefined;
    const known = new Set(data.map(({ id }) => id));
    const kept = batches
      .filter((batch) => batch.quadId === quadId)
      .flatMap(({ records, person = '' }) => records.map((record): NamedRecord => ({ ...record, person })))
      .filter(({ id }) => !known.has(id));
    return kept.length > 0 ? [...data, ...kept] : data;
  }, [data, batches, quadId]);
}

/** Puts records that the server has just stored into the log at once, so that nothing flickers away between. */
export function addStored(client: QueryClient, quadId: string, records: readonly NamedRecord[]): void {
  client.setQueryData<NamedRecord[]>(keys.log(quadId), (known) => known && merged(known, records));
  void client.invalidateQueries({ queryKey: keys.log(quadId) });
}

/** Adds records in order; a gap in the seqs is left to the next answer of the server. */
function merged(known: NamedRecord[], later: readonly NamedRecord[]): NamedRecord[] {
  let last = known.at(-1)?.seq ?? 0;
  const added: NamedRecord[] = [];
  for (const record of later) {
    if (record.seq !== last + 1) continue;
    added.push(record);
    last += 1;
  }
  return added.length > 0 ? [...known, ...added] : known;
}
