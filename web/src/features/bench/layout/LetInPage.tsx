/** What does not fit goes in all the same: a lead says why, and is named with it. */
import type { Layout } from '@junctor/core';
import { useState } from 'react';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { LaidFromTheSide } from '../../../drawing/LaidFromTheSide';
import type { Answer } from '../../../ui/Answers';
import { OwnWords } from '../../../ui/OwnWords';
import { MarginFacts } from './MarginFacts';
import { useSigning } from './useSigning';
import { WithLayout } from './WithLayout';

const offered = ['Tried dry: it goes in', 'Filed to fit', 'The customer wants it so'];
const shortest = 3;

export function LetInPage() {
  return <WithLayout>{({ planned }) => <LettingIn planned={planned} />}</WithLayout>;
}

function LettingIn({ planned }: { planned: Layout }) {
  const bench = useBench();
  const doors = useDoors();
  const [reason, setReason] = useState('');
  const { sign, failed, blocked } = useSigning(planned);
  const no = planned.margins.filter(({ verdict }) => verdict === 'no');
  const isSaid = reason.trim().length >= shortest;
  const letIn = () => sign(reason.trim());
  const answers: Answer[] = [
    { key: 'Escape', label: 'Back to the layout', act: () => doors.leave(doors.places.layout) },
    ...offered.map((offer, index): Answer => ({ key: String(index + 1), label: offer, act: () => setReason(offer) })),
    {
      key: 'Enter',
      label: 'Sign: it goes in',
      main: true,
      act: letIn,
      blocked:
        blocked ??
        (bench.person.role === 'lead' ? null : 'only a lead lets in what does not fit') ??
        (isSaid ? null : 'say why first'),
    },
  ];
  return (
    <JobFrame
      place="Layout"
      shown={bench.state.steps.find(({ verb }) => verb === 'lay') ?? bench.state.current}
      answers={answers}
      sentence={
        <strong>
          {no.length === 1 ? `${no[0]!.what} does not hold` : `${no.length} margins do not hold`}: may it go in?
        </strong>
      }
      under={failed ?? 'Whoever lets it in is named with the reason: in the quad book.'}
      left={{
        title: 'from the left side',
        note: 'to scale, soft mounts squeezed',
        body: <LaidFromTheSide laid={planned.laid} held={no[0]?.slots ?? []} />,
      }}
      crossing={<MarginFacts margins={no} at={0} />}
      right={{
        title: 'why it may go in',
        note: `said by ${bench.person.name}`,
        body: (
          <OwnWords
            label="Why, by key or in your own words"
            value={reason}
            onChange={setReason}
            onEnter={() => isSaid && !blocked && letIn()}
          />
        ),
      }}
    />
  );
}
