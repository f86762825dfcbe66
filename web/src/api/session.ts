/** Who is signed in at this tablet. */
import type { QueryClient } from '@tanstack/react-query';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { request } from './client';
import { deviceId } from './device';
import { keys } from './keys';
import { forgetHand, keepHand } from './hand';
import { outbox } from './outbox';
import type { Person } from './types';

export function useSession() {
  return useQuery({
    queryKey: keys.session,
    queryFn: () => request<Person | null>('GET', '/session'),
    staleTime: 60_000,
  });
}

export function useShop() {
  return useQuery({
    queryKey: keys.shop,
    queryFn: () => request<{ name: string; empty: boolean }>('GET', '/shop'),
    staleTime: 10_000,
  });
}

export function useSignIn() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (given: { name: string; password: string }) =>
      request<SignedIn>('POST', '/session', { ...given, device: device() }),
    onSuccess: (signedIn) => enter(client, signedIn),
  });
}

export function useFirstLead() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (given: { id: string; shop: string; name: string; password: string }) =>
      request<SignedIn>('POST', '/shop/first-lead', { ...given, device: device() }),
    onSuccess: async (signedIn) => {
      enter(client, signedIn);
      await client.invalidateQueries({ queryKey: keys.shop });
    },
  });
}

export function useSignOut() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => request<void>('DELETE', '/session'),
    onSuccess: () => {
      const person = client.getQueryData<Person>(keys.session);
      if (person) forgetHand(person.personId);
      // First whoever shows a page of the shop leaves it, then what they have fetched is forgotten.
      client.setQueryData(keys.session, null);
      client.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.session[0] });
    },
  });
}

function device() {
  return { id: deviceId(), label: 'tablet' };
}

/** Whoever signs in is given what proves their records later. */
type SignedIn = Person & { hand: string };

function enter(client: QueryClient, { hand, ...person }: SignedIn): void {
  keepHand(person.personId, hand);
  client.setQueryData(keys.session, person);
  // Records may have waited for exactly this person.
  outbox.nudge();
}
