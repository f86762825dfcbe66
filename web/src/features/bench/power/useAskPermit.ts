/** The permit asked of the server, which alone gives one; and whether the one that was given has run out by now. */
import type { validPermit } from '@junctor/core';
import { isInTime } from '@junctor/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { request } from '../../../api/client';
import { deviceId, newId } from '../../../api/device';
import { allStored } from '../../../api/outbox';
import { keys } from '../../../api/keys';
import { serverNow } from '../../../api/serverClock';
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

/** True once a permit has run out while it stood on the screen, by the server's clock. */
export function useRunOut(permit: ReturnType<typeof validPermit>): boolean {
  const [now, setNow] = useState(serverNow);
  useEffect(() => {
    const timer = setInterval(() => setNow(serverNow()), lookEveryMs);
    return () => clearInterval(timer);
  }, []);
  return permit !== null && !isInTime(permit, now);
}
