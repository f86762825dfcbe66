/** First the plan keeps every pose and what each wire is cut to, then it is signed as it stands there. */
import type { Layout } from '@junctor/core';
import { keepingChanges, layoutBasis, layoutNote, layoutPicture, lengthChanges, notesOf, ofJob } from '@junctor/core';
import { useEffect, useState } from 'react';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { layStep } from './layoutScreen';
import { usePlanEdits } from '../../../bench/provider/usePlanEdits';

interface Signing {
  /** @param reason Why it goes in, of what does not fit; empty where it fits. */
  sign: (reason: string) => void;
  failed: string | null;
  /** A picture stands for what is not known. */
  isPictured: boolean;
  blocked: string | null;
}

export function useSigning(planned: Layout): Signing {
  const bench = useBench();
  const doors = useDoors();
  const edits = usePlanEdits(bench);
  const [reason, setReason] = useState<string | null>(null);
  const { plan } = bench.job;
  const open = [...keepingChanges(planned.laid), ...lengthChanges(planned.laid, plan.schools, settledWires(bench))];
  const step = layStep(bench);
  const pictured = layoutPicture(bench.state.log, bench.job.id, layoutBasis(plan.target));
  const isReady = reason !== null && open.length === 0;
  useEffect(() => {
    if (!isReady) return;
    setReason(null);
    bench.record([layoutNote(plan.target, planned.margins, { reason, pictured })], step?.id ?? null);
    doors.leave(doors.places.now);
  }, [isReady, reason, pictured, planned, plan, bench, step, doors]);
  return {
    sign: (why) => {
      setReason(why);
      if (open.length > 0) edits.make(open);
    },
    failed: edits.failed,
    isPictured: pictured !== null,
    blocked: blockedOf(step, reason !== null && !edits.failed) ?? lookFirst(planned, pictured),
  };
}

function blockedOf(step: { done: boolean } | undefined, isSigning: boolean): string | null {
  if (isSigning) return 'being kept';
  if (!step) return 'work has begun: nothing to sign';
  return step.done ? 'signed as it lies' : null;
}

/** Built in, or cut and measured in this job. */
function settledWires({ job, state }: Bench): ReadonlySet<string> {
  const measured = notesOf(state.log, 'length').filter(ofJob(job.id));
  return new Set([...Object.keys(state.asBuilt.build.wires), ...measured.map(({ record }) => record.body.wire)]);
}

/** What nobody knows is looked at, and a picture shows it. */
function lookFirst({ margins }: Layout, pictured: string | null): string | null {
  const unknown = margins.find(({ verdict }) => verdict === 'not known');
  return unknown && !pictured ? `not known: ${unknown.what}. Look, and take a picture of it first` : null;
}
