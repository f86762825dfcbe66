/** The permit asked of the server, which alone gives one; and whether the one that was given has run out by now. */
import type { QuadRecord } from '@junctor/core';
import { notesOf } from '@junctor/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { request } from '../../../api/client';
import { deviceId, newId } from '../../../api/device';
import { allStored } from '../../../api/outbox';
import { keys } from '../../../api/keys';
import type { Bench } from '../../../bench/provider/bench';

export function useAskPermit({ job: { id: jobId, quadId } }: Pick<Bench, 'job'>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async () => {
      // Asked while the last record is still on its way: it goes first.
      await allStored();
      return request('POST', `/quads/${quadId}/permits`, {
        id: newId(),
        jobId,
        deviceId: deviceId(),
        doneAt: new Date().toISOString(),
        gate: 'first power',
      });
    },
    onSuccess: () => client.invalidateQueries({ queryKey: keys.log(quadId) }),
  });
}

const lookEveryMs = 5000;

/** True once a permit has run out while it stood on the screen, by this device's clock. */
export function useRunOut(permit: QuadRecord | null, { state }: Pick<Bench, 'state'>): boolean {
  const [nowMs, setNowMs] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), lookEveryMs);
    return () => clearInterval(timer);
  }, []);
  const wanted = notesOf(state.log, 'permit').find(({ record }) => record.id === permit?.id)?.record.body.for;
  if (!permit || !wanted) return false;
  const from = permit.deviceId === deviceId() ? wanted.askedAt : (permit.arrivedAt ?? wanted.askedAt);
  return nowMs - Date.parse(from) > wanted.forS * 1000;
}
