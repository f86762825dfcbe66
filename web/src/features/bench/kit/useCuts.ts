/** The cut list of a job, made off the page from its layout and the shop's offcuts. */
import type { CutList, CutWire, StockLine } from '@junctor/core';
import { cutLengths } from '@junctor/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useStock } from '../../../api/stores';
import { useBench } from '../../../bench/provider/useBench';
import { useLayout } from '../../../bench/provider/useLayout';
import { openPlanWorker } from '../../../compute/planner';

interface Cuts {
  wires: readonly CutWire[];
  list: CutList | null;
  /** Offcuts by their id, to be found in their drawers. */
  stock: ReadonlyMap<string, StockLine>;
}

export function useCuts(): Cuts | 'no frame' | null {
  const bench = useBench();
  const { plan } = bench.job;
  const layout = useLayout(bench, null);
  const lines = useStock().data;
  const { build: start } = bench.state.start;
  const wires = useMemo(() => {
    if (!layout || layout === 'no frame') return null;
    // What is in it already is not cut again.
    return cutLengths(layout.planned.laid, plan.schools).filter(({ wire }) => !Object.hasOwn(start.wires, wire));
  }, [layout, plan.schools, start]);
  const { data: list = null } = useQuery({
    queryKey: ['cuts', wires, lines],
    enabled: wires !== null && lines !== undefined,
    queryFn: () => cutFrom(wires!, lines!),
    networkMode: 'always',
  });
  if (layout === 'no frame') return layout;
  if (!wires || !lines) return null;
  return { wires, list, stock: new Map(lines.map((line) => [line.id, line])) };
}

async function cutFrom(wires: readonly CutWire[], lines: readonly StockLine[]): Promise<CutList> {
  const offcuts = lines.flatMap(({ id, offcut, onHand, doc: { awg, colour, lengthMm } }) =>
    offcut && onHand > 0 && awg !== undefined && colour && lengthMm ? [{ id, awg, colour, lengthMm }] : [],
  );
  const { ask, end } = openPlanWorker();
  try {
    return await ask.cuts(wires, offcuts);
  } finally {
    end();
  }
}
