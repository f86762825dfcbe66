/** What stands on the layout of the plan, once it has been searched. */
import type { Layout } from '@junctor/core';
import type { ReactNode } from 'react';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import type { HeldPart } from '../../../bench/provider/useLayout';
import { useLayout } from '../../../bench/provider/useLayout';

interface WithLayoutProps {
  held?: HeldPart | null;
  children: (layout: { planned: Layout; shown: Layout }) => ReactNode;
}

export function WithLayout({ held = null, children }: WithLayoutProps) {
  const bench = useBench();
  const doors = useDoors();
  const layout = useLayout(bench, held);
  if (layout && layout !== 'no frame') return children(layout);
  return (
    <JobFrame
      place="Layout"
      shown={bench.state.current}
      answers={[{ key: 'Escape', label: 'Bench', act: () => doors.leave(doors.places.now) }]}
      sentence={layout ? 'This plan has no frame' : 'Every place and every turn is being tried'}
      under={layout ? 'Without one there is nothing to lay it out in.' : 'One moment.'}
      both={{ title: 'layout', note: '', body: null }}
    />
  );
}
