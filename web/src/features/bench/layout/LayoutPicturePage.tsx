/** A picture of the aircraft laid out dry: it stands for what no margin says. */
import type { Layout } from '@junctor/core';
import { ofLayout } from '@junctor/core';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import type { Answer } from '../../../ui/Answers';
import { pictureRemark, usePicture } from '../usePicture';
import { layoutScreen, layStep, sideHand } from './layoutScreen';
import { MarginFacts } from './MarginFacts';
import { WithLayout } from './WithLayout';

export function LayoutPicturePage() {
  return <WithLayout>{({ planned }) => <Picturing planned={planned} />}</WithLayout>;
}

function Picturing({ planned }: { planned: Layout }) {
  const bench = useBench();
  const doors = useDoors();
  const unknown = planned.margins.filter(({ verdict }) => verdict === 'not known');
  const taking = usePicture('Picture of the layout', (blob) => {
    bench.record([{ saw: 'picture', of: ofLayout, blob }], layStep(bench)?.id ?? null);
    doors.leave(doors.places.layout);
  });
  const answers: Answer[] = [
    { key: 'Escape', label: 'Back to the layout', act: () => doors.leave(doors.places.layout) },
    {
      key: 'Enter',
      also: ['k'],
      label: 'Take it',
      main: true,
      act: taking.take,
      blocked: taking.keeping ? 'keeping it' : null,
    },
  ];
  return (
    <JobFrame
      {...layoutScreen(bench)}
      answers={answers}
      sentence={<strong>Take a picture of it as it lies</strong>}
      under={pictureRemark(taking, unknown[0]?.says ?? 'It stays with the quad, beside the margins.')}
      left={sideHand(planned.laid, unknown[0]?.slots ?? [])}
      crossing={<MarginFacts margins={unknown} at={0} />}
      right={{ title: 'the picture', note: 'from the camera, or a file', body: taking.field }}
    />
  );
}
