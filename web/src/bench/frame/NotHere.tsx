/** An address inside a job that leads nowhere (any more): says so, and goes on to the step that is due. */
import { useBench } from '../provider/useBench';
import { useDoors } from '../provider/useDoors';
import { JobFrame } from './JobFrame';

export function NotHere({ what, why }: { what: string; why: string }) {
  const { state } = useBench();
  const { places, leave } = useDoors();
  return (
    <JobFrame
      place="Nothing here"
      shown={state.current}
      answers={[
        { key: '4', label: 'The wiring', act: () => leave(places.wiring()) },
        { key: 'Enter', also: ['Escape'], label: 'To the step now', main: true, act: () => leave(places.now) },
      ]}
      sentence={<strong>{what}</strong>}
      under={why}
      both={{ title: 'nothing', note: 'Enter goes to the step that is due', body: null }}
    />
  );
}
