/** The layout of the plan: poses that the plan leaves open are searched off the page, margins are worked out here. */
import type { Layout, Pose } from '@junctor/core';
import { assemble, layoutOf, measuredIn, notesOf } from '@junctor/core';
import { useEffect, useMemo, useState } from 'react';
import { compute } from '../../compute/compute';
import type { Bench } from './bench';

type Poses = ReadonlyMap<string, Pose>;

/** A part as it is held meanwhile. */
export interface HeldPart {
  slot: string;
  pose: Pose;
}

/** null while it is searched. */
export type PlannedLayout = { planned: Layout; shown: Layout } | 'no frame' | null;

/** As planned, and as it would be with what is held; null while it is searched. */
export function useLayout(
  { job, catalogue, state }: Pick<Bench, 'job' | 'catalogue' | 'state'>,
  held: HeldPart | null,
): PlannedLayout {
  const { target } = job.plan;
  // Until they are searched again, those of before: what the plan has kept stays where it is.
  const [poses, setPoses] = useState<Poses | null>(null);
  useEffect(() => {
    let isAsked = true;
    void compute()
      .lay({ models: catalogue.models, build: target })
      .then((found) => {
        if (isAsked) setPoses(new Map(found));
      });
    return () => {
      isAsked = false;
    };
  }, [target, catalogue]);
  const gaps = useMemo(() => notesOf(state.log, 'gap'), [state.log]);
  const planned = useMemo(() => {
    if (!poses) return null;
    const assembly = assemble(target, catalogue);
    return layoutOf(assembly, poses, measuredIn(gaps, assembly)) ?? 'no frame';
  }, [poses, target, catalogue, gaps]);
  return useMemo(() => {
    if (planned === null || planned === 'no frame') return planned;
    if (!held) return { planned, shown: planned };
    const fitted = target.slots[held.slot]!;
    const other = { ...target, slots: { ...target.slots, [held.slot]: { ...fitted, pose: held.pose } } };
    const assembly = assemble(other, catalogue);
    return { planned, shown: layoutOf(assembly, poses!, measuredIn(gaps, assembly))! };
  }, [planned, held, target, catalogue, poses, gaps]);
}
