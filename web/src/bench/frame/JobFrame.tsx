/** The frame filled with what every screen of a job shares: title, head line, cord, keys, the slip of a named thing. */
import type { Step } from '@junctor/core';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { places } from '../../addresses';
import type { Answer } from '../../ui/Answers';
import { AnswerRow } from '../../ui/Answers';
import { Cord } from '../../ui/Cord';
import type { Held } from '../../ui/Frame';
import { Frame } from '../../ui/Frame';
import { Head } from '../../ui/Head';
import { KeysHelp } from '../../ui/KeysHelp';
import { useBench } from '../provider/useBench';
import { Slip, useSlip } from './Slip';

type JobFrameProps = Held & {
  /** What the page's title calls this screen. */
  place: string;
  shown: Step | null;
  sentence: ReactNode;
  under: ReactNode;
  answers: readonly Answer[];
};

export function JobFrame({ place, shown, answers, ...rest }: JobFrameProps) {
  const navigate = useNavigate();
  const { job, state } = useBench();
  const slip = useSlip();
  const [helpOpen, setHelpOpen] = useState(false);
  const closing: Answer[] = [{ key: 'Escape', label: 'Close the slip', act: slip.close }];
  const all: Answer[] = [
    // What lies on top is closed first.
    ...(slip.of ? [...closing, ...answers.filter(({ key }) => key !== 'Escape')] : answers),
    { key: 'Home', label: 'Floor', hidden: true, act: () => void navigate(places.floor) },
    { key: '?', label: 'Keys of this screen', hidden: true, act: () => setHelpOpen(!helpOpen) },
  ];
  return (
    <>
      <title>{`${place}: ${job.quad}, ${job.title} · Junctor`}</title>
      <Frame
        {...rest}
        at={shown?.id ?? 'end'}
        head={
          <Head title={`${job.quad}, ${job.title}`}>
            <span>bench {job.bench}</span>
          </Head>
        }
        answers={<AnswerRow answers={all} />}
        cord={<Cord steps={state.steps} gates={state.gates} shown={shown} />}
        over={slip.of && <Slip of={slip.of} onClose={slip.close} />}
      />
      <KeysHelp answers={all} open={helpOpen} onClose={() => setHelpOpen(false)} />
    </>
  );
}
