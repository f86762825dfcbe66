/** What the screens read from the server. */
import type {
  WeightClass,
  Build,
  Catalogue,
  FloorLine,
  JobSheet,
  Meter,
  PartModel,
  TemplateLine,
  Plan,
  PlanChange,
  QuadRecord,
  TouchesReply,
} from '@junctor/core';
import { makeCatalogue } from '@junctor/core';
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { request } from './client';
import type { Key } from './keys';
import { keys } from './keys';
import type { Customer, Quad, QuadLine, Tool } from './types';

export function useFloor() {
  return useQuery({
    queryKey: keys.floor,
    queryFn: () => request<FloorLine[]>('GET', '/floor'),
    refetchInterval: 5000,
  });
}

export function useJob(id: string) {
  return useQuery({
    queryKey: keys.job(id),
    queryFn: () => request<JobSheet>('GET', `/jobs/${id}`),
    refetchInterval: 5000,
  });
}

/**
 * The touches before first power of a version of a plan and for a meter; asked again while they are worked out. Those
 * of another version are none of this one's.
 */
export function useTouches(jobId: string, version: number | undefined, meterId: string | undefined) {
  return useQuery({
    queryKey: keys.touches(jobId, version ?? 0, meterId ?? ''),
    queryFn: () => request<TouchesReply>('GET', `/jobs/${jobId}/touches`),
    enabled: version !== undefined && meterId !== undefined,
    staleTime: Infinity,
    placeholderData: (before: TouchesReply | undefined) => before && { list: null, at: null },
    refetchInterval: ({ state }) => (state.data?.list ? false : 500),
  });
}

export function useQuad(id: string) {
  return useQuery({ queryKey: keys.quad(id), queryFn: () => request<Quad>('GET', `/quads/${id}`) });
}

export function useQuads(typed: string) {
  return useQuery({
    queryKey: keys.quads(typed),
    queryFn: () => request<QuadLine[]>('GET', `/quads?q=${encodeURIComponent(typed)}`),
  });
}

export function useCustomers(typed: string) {
  return useQuery({
    queryKey: keys.customers(typed),
    queryFn: () => request<Customer[]>('GET', `/customers?q=${encodeURIComponent(typed)}`),
  });
}

export function useCustomer(id: string) {
  return useQuery({ queryKey: keys.customer(id), queryFn: () => request<Customer>('GET', `/customers/${id}`) });
}

export function useQuadsOf(customerId: string) {
  return useQuery({
    queryKey: keys.quadsOf(customerId),
    queryFn: () => request<QuadLine[]>('GET', `/quads?customer=${encodeURIComponent(customerId)}`),
  });
}

export function useTemplates() {
  return useQuery({
    queryKey: keys.templates,
    queryFn: () => request<TemplateLine[]>('GET', '/templates'),
    staleTime: 30_000,
  });
}

export function usePeople() {
  return useQuery({
    queryKey: keys.people,
    queryFn: () => request<{ id: string; name: string; role: string; leftAt: string | null }[]>('GET', '/people'),
  });
}

export function useTools() {
  return useQuery({ queryKey: keys.tools, queryFn: () => request<Tool[]>('GET', '/tools'), staleTime: 60_000 });
}

/** The shop's own list, and its version. */
export function useWeightClasses() {
  return useQuery({
    queryKey: keys.weightClasses,
    queryFn: () => request<{ version: number; classes: readonly WeightClass[] }>('GET', '/shop/weight-classes'),
    staleTime: 60_000,
  });
}

/** The shop's meter with its card; null until the tools have come. */
export function useMeter(): Meter | null {
  const tools = useTools().data;
  return useMemo(() => {
    const meter = tools?.find(({ kind }) => kind === 'meter');
    return meter ? { ...(meter.doc as unknown as Omit<Meter, 'id' | 'name'>), id: meter.id, name: meter.name } : null;
  }, [tools]);
}

/** The part models that builds name, by `id@revision`: only those travel, however large the shop's catalogue is. */
export function useModels(named: readonly string[] | undefined) {
  const wanted = [...new Set(named)].sort();
  return useQuery({
    queryKey: keys.models(wanted),
    staleTime: Infinity,
    enabled: named !== undefined,
    placeholderData: keepPreviousData,
    queryFn: async (): Promise<Catalogue> =>
      makeCatalogue(await request<PartModel[]>('POST', '/catalogue/models', { wanted: wanted.map(parseModel) })),
  });
}

function parseModel(name: string) {
  const [model, revision] = name.split('@');
  return { model: model!, revision: Number(revision) };
}

/** What was done to a quad and told after its job was closed. */
export interface LateActs {
  quadId: string;
  quad: string;
  title: string;
  acts: number;
  person: string;
}

/** For a lead. */
export function useLateActs(lead: boolean) {
  return useQuery({
    queryKey: keys.lateActs,
    enabled: lead,
    refetchInterval: 60_000,
    queryFn: () => request<LateActs[]>('GET', '/floor/late'),
  });
}

/** Every model that a plan or a log names. */
export function modelsNamed(target: Build | null, records: readonly QuadRecord[]): string[] {
  const fitted = [
    ...Object.values(target?.slots ?? {}),
    ...records.flatMap(({ body }) => ('do' in body && body.do === 'fit' ? [body.fitted] : [])),
  ];
  return [...new Set(fitted.map(({ model, revision }) => `${model}@${revision}`))];
}

/** True when the catalogue has all of them. */
export function covers(catalogue: Catalogue | undefined, named: readonly string[]): catalogue is Catalogue {
  return catalogue !== undefined && named.every((name) => catalogue.has(parseModel(name)));
}

/** Sends something and brings the lists that it touches up to date. */
export function useSend<Given, Reply = unknown>(path: (given: Given) => string, lists: readonly Key[]) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (given: Given) => request<Reply>('POST', path(given), given),
    onSuccess: () => Promise.all(lists.map((list) => client.invalidateQueries({ queryKey: list }))),
  });
}

/** Changes the plan; the new plan is there when it returns. */
export function useChangePlan(jobId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (given: { version: number; changes: readonly PlanChange[] }) =>
      request<Plan>('POST', `/jobs/${jobId}/plan-changes`, given),
    onSuccess: (plan) => client.setQueryData<JobSheet>(keys.job(jobId), (job) => job && { ...job, plan }),
    onError: () => client.invalidateQueries({ queryKey: keys.job(jobId) }),
  });
}
