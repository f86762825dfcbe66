/**
 * What a touch must show, computed off the page: from the wiring, the parts' insides, the meter's card, charge left.
 */
import type { StepOf } from '@junctor/core';
import { chargeBefore } from '@junctor/core';
import { useQuery } from '@tanstack/react-query';
import { keys } from '../../../api/keys';
import { useBench } from '../../../bench/provider/useBench';
import { compute } from '../../../compute/compute';

export function useExpectation({ id, listed: { touch } }: StepOf<'touch'>) {
  const { job, records, state, catalogue, meter } = useBench();
  return useQuery({
    queryKey: keys.expectation(job.id, job.plan.version, id, records.length),
    staleTime: Infinity,
    gcTime: 60_000,
    queryFn: async () => {
      const { chargeV, pauseS } = chargeBefore(state.log, new Date().toISOString());
      const request = { models: catalogue.models, build: state.asBuilt.build, touch, meter, chargeV, pauseS };
      return { expectation: await compute().expectation(request), request };
    },
  });
}
