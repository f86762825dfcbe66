/** What does not fit goes in all the same: a lead says why, and is named with it. */
import type { Layout } from '@junctor/core';
import { capital } from '@junctor/core';
import { useState } from 'react';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import type { Answer } from '../../../ui/Answers';
import { OwnWords } from '../../../ui/OwnWords';
import { layoutScreen, sideHand } from './layoutScreen';
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
  const isLead = bench.person.role === 'lead';
  const against =
    blocked ??
    (isLead ? null : 'only a lead lets in what does not fit') ??
    (reason.trim().length < shortest ? 'say why first' : null);
  const letIn = () => sign(reason.trim());
  const answers: Answer[] = [
    { key: 'Escape', label: 'Back to the layout', act: () => doors.leave(doors.places.layout) },
    ...offered.map((offer, index): Answer => ({ key: String(index + 1), label: offer, act: () => setReason(offer) })),
    {
      key: 'Enter',
      label: 'Sign: it goes in',
      main: true,
      act: letIn,
      blocked: against,
    },
  ];
  return (
    <JobFrame
      {...layoutScreen(bench)}
      answers={answers}
      sentence={
        <strong>
          {no.length === 1 ? `${capital(no[0]!.what)} does not hold` : `${no.length} margins do not hold`}: may it go
          in?
        </strong>
      }
      under={
        failed ??
        (isLead
          ? 'Whoever lets it in is named with the reason: in the quad book.'
          : 'Only a lead lets in what does not fit: ask one to sign in at this tablet.')
      }
      left={sideHand(planned.laid, no[0]?.slots ?? [])}
      crossing={<MarginFacts margins={no} at={0} />}
      right={{
        title: 'why it may go in',
        note: `said by ${bench.person.name}`,
        body: (
          <OwnWords
            label="Why, by key or in your own words"
            value={reason}
            onChange={setReason}
            onEnter={() => against === null && letIn()}
          />
        ),
      }}
    />
  );
}
