/** A margin measured with a gauge: asked again where it contradicts what is reckoned, then believed. */
import type { Layout, Margin } from '@junctor/core';
import { capital, gapDoubt, gapKey, gapNote, tenths } from '@junctor/core';
import { useParams } from 'react-router';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { NotHere } from '../../../bench/frame/NotHere';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { Fact } from '../../../ui/Frame';
import { Typed, usePrompts } from '../prompts/Prompts';
import { layoutScreen, layStep, sideHand } from './layoutScreen';
import { WithLayout } from './WithLayout';

export function MeasurePage() {
  const { margin: name } = useParams();
  return (
    <WithLayout>
      {({ planned }) => {
        const margin = planned.margins.find((one) => one.gauge && gapKey(one) === name);
        return margin ? (
          <Measuring planned={planned} margin={margin} />
        ) : (
          <NotHere what="Nothing of this name is measured here" why="The layout has changed, or no gauge reaches it." />
        );
      }}
    </WithLayout>
  );
}

function Measuring({ planned, margin }: { planned: Layout; margin: Margin }) {
  const bench = useBench();
  const doors = useDoors();
  const gauge = margin.gauge!;
  const reckoned = margin.mm! + gauge.needMm;
  const state = usePrompts(
    [
      {
        id: 'mm',
        asks: 'What does the gauge show',
        hint: gauge.asks,
        unit: 'mm',
        possible: [-50, 500],
        doubt: (mm) => gapDoubt(margin, mm),
      },
    ],
    ({ mm }) => {
      const note = gapNote(planned.laid, margin, Number(mm));
      if (note) bench.record([note], layStep(bench)?.id ?? null);
      doors.leave(doors.places.layout);
    },
  );
  return (
    <JobFrame
      {...layoutScreen(bench)}
      answers={[
        { key: 'Escape', label: 'Back to the layout', act: () => doors.leave(doors.places.layout) },
        ...state.answers,
      ]}
      sentence={<strong>Measure {gauge.asks}</strong>}
      under={state.problem ?? 'What the gauge shows takes the place of what was reckoned; the difference is kept.'}
      left={sideHand(planned.laid, margin.slots)}
      crossing={
        <>
          <Fact>
            <dt>reckoned</dt>
            <dd>{tenths(reckoned)} mm</dd>
          </Fact>
          <Fact>
            <dt>wanted</dt>
            <dd>{tenths(gauge.needMm)} mm</dd>
          </Fact>
          <Fact>
            <dt>{capital(margin.what)}</dt>
            <dd className="long">{margin.verdict}</dd>
          </Fact>
        </>
      }
      right={{ title: 'what the gauge shows', note: 'type it, then Enter', body: <Typed state={state} /> }}
    />
  );
}
