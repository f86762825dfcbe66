/** What the stores' screens read and send. */
import type { Destination, ModelIndexLine, PartLine, PartModel, StockLine } from '@junctor/core';
import { useQuery } from '@tanstack/react-query';
import { request } from './client';
import { keys } from './keys';

interface ModelSheet {
  revisions: readonly PartModel[];
  retired: boolean;
  usedIn: readonly {
    jobId: string;
    quadId: string;
    quad: string;
    title: string;
    revision: number;
    closedAt: string | null;
  }[];
}

export interface PartNote {
  id: string;
  person: string;
  at: string;
  body:
    | { is: 'condition'; condition: string; why: string }
    | { is: 'firmware'; firmware: string }
    | { is: 'weight'; grams: number }
    | { is: 'signature'; readings: readonly { verdict: string }[] }
    | { is: 'taken off' }
    | { is: 'goes'; to: Destination };
}

export function useModelIndex() {
  return useQuery({
    queryKey: keys.modelIndex,
    queryFn: () => request<ModelIndexLine[]>('GET', '/catalogue/index'),
    staleTime: 30_000,
  });
}

export function useModelSheet(id: string) {
  return useQuery({
    queryKey: keys.modelSheet(id),
    queryFn: () => request<ModelSheet>('GET', `/catalogue/models/${encodeURIComponent(id)}`),
  });
}

export function useStock() {
  return useQuery({ queryKey: keys.stock, queryFn: () => request<StockLine[]>('GET', '/stock') });
}

export function useParts(typed: string, model: string | null = null) {
  return useQuery({
    queryKey: keys.parts(typed, model),
    queryFn: () =>
      request<PartLine[]>(
        'GET',
        `/parts?q=${encodeURIComponent(typed)}${model ? `&model=${encodeURIComponent(model)}` : ''}`,
      ),
  });
}

export function usePart(id: string) {
  return useQuery({
    queryKey: keys.part(id),
    queryFn: () => request<PartLine & { notes: readonly PartNote[] }>('GET', `/parts/${id}`),
  });
}
