/** A meter's card kept by the shop. */
import type { Meter } from '@junctor/core';
import { newId } from '../../api/device';
import { keys } from '../../api/keys';
import { useSend } from '../../api/queries';

export function useKeepMeter(onKept: () => void) {
  const keep = useSend<object>(() => '/tools', [keys.tools]);
  const send = (name: string, card: Omit<Meter, 'id' | 'name'>) =>
    keep.mutate({ id: newId(), name, card }, { onSuccess: onKept });
  return { keep, send };
}
