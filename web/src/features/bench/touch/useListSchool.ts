/** How much the list shall prove, and in how many minutes: taken one after the other by one key, with the plan. */
import { listSchool, listSchoolOf, listSchools } from '@junctor/core';
import { useChangePlan } from '../../../api/queries';
import type { Bench } from '../../../bench/provider/bench';

export function useListSchool({ job: { id, plan } }: Bench): { now: string; door: Door } {
  const change = useChangePlan(id);
  const now = listSchoolOf(plan.schools);
  const after = listSchools[(listSchools.indexOf(now) + 1) % listSchools.length]!;
  const act = () => {
    if (change.isPending) return;
    const before = plan.schools[listSchool] ?? null;
    change.mutate({ version: plan.version, changes: [{ path: `schools/${listSchool}`, before, after }] });
  };
  return { now, door: { key: 'm', label: `Rather: ${after}`, act } };
}

interface Door {
  key: string;
  label: string;
  act: () => void;
}
