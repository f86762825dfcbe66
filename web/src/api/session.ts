/** Who is signed in at this tablet. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { request } from './client';
import { deviceId } from './device';
import type { Person } from './types';

const sessionKey = ['session'] as const;

export function useSession() {
  return useQuery({
    queryKey: sessionKey,
    queryFn: () => request<Person | null>('GET', '/session'),
    staleTime: 60_000,
  });
}

export function useShop() {
  return useQuery({
    queryKey: ['shop'],
    queryFn: () => request<{ name: string; empty: boolean }>('GET', '/shop'),
    staleTime: 10_000,
  });
}

export function useSignIn() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (given: { name: string; password: string }) =>
      request<Person>('POST', '/session', { ...given, device: device() }),
    onSuccess: (person) => client.setQueryData(sessionKey, person),
  });
}

export function useFirstLead() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (given: { id: string; shop: string; name: string; password: string }) =>
      request<Person>('POST', '/shop/first-lead', { ...given, device: device() }),
    onSuccess: async (person) => {
      client.setQueryData(sessionKey, person);
      await client.invalidateQueries({ queryKey: ['shop'] });
    },
  });
}

export function useSignOut() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => request<void>('DELETE', '/session'),
    onSuccess: () => {
      // First whoever shows a page of the shop leaves it, then what they have fetched is forgotten.
      client.setQueryData(sessionKey, null);
      client.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== sessionKey[0] });
    },
  });
}

function device() {
  return { id: deviceId(), label: 'tablet' };
}
