/** What a reading that stops can be, worked out off the page: single faults with which the meter would show it. */
import type { Cause } from '../../../compute/worker';
import type { Reading, StepOf } from '@junctor/core';
import { useQuery } from '@tanstack/react-query';
import { keys } from '../../../api/keys';
import { useBench } from '../../../bench/provider/useBench';
import { compute } from '../../../compute/compute';

/** Undefined while it is worked out. */
export function useCauses({ id, listed }: StepOf<'touch'>, reading: Reading): readonly Cause[] | undefined {
  const { job, records, state, catalogue, meter } = useBench();
  // What another touch has shown to be absent.
  const cleared = state.steps.flatMap((step) =>
    step.verb === 'touch' && step.done && step.id !== id ? step.listed.shows : [],
  );
  return useQuery({
    queryKey: keys.causes(job.id, job.plan.version, id, records.length),
    staleTime: Infinity,
    gcTime: 60_000,
    queryFn: () => {
      const { touch, heard } = reading;
      return compute().causes({
        models: catalogue.models,
        build: state.target.build,
        reading: { touch, heard },
        meter,
        shown: listed.shows,
        cleared,
      });
    },
  }).data;
}
