/** The frame filled with what every bench screen shares: head line, cord, Back and Problem. */
import type { Step } from '@junctor/core';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { dismissRefusal, useOutbox } from '../../api/outbox';
import type { Answer } from '../../ui/Answers';
import { AnswerRow } from '../../ui/Answers';
import { Cord } from '../../ui/Cord';
import type { Held } from '../../ui/Frame';
import { Frame } from '../../ui/Frame';
import { Head } from '../../ui/Head';
import { KeysHelp } from './KeysHelp';
import type { Bench } from './useBench';

type JobFrameProps = Held & {
  bench: Bench;
  shown: Step | null;
  sentence: ReactNode;
  under: ReactNode;
  answers: readonly Answer[];
};

export function JobFrame({ bench, shown, answers, under, ...rest }: JobFrameProps) {
  const navigate = useNavigate();
  const [helpOpen, setHelpOpen] = useState(false);
  const { refused } = useOutbox();
  const all: Answer[] = [
    ...answers,
    { key: 'Home', label: 'Floor', hidden: true, act: () => void navigate('/') },
    { key: '?', label: 'Keys of this screen', hidden: true, act: () => setHelpOpen(!helpOpen) },
    ...(answers.some(({ key }) => key === 'Escape')
      ? []
      : [
          { key: 'Escape', label: 'Close', hidden: true, act: () => (refused ? dismissRefusal() : setHelpOpen(false)) },
        ]),
  ];
  return (
    <>
      <Frame
        {...rest}
        head={
          <Head title={`${bench.job.quad}, ${bench.job.title}`}>
            <span>bench {bench.job.bench}</span>
          </Head>
        }
        under={refused ? <strong role="alert">Not stored: {refused.message} (Esc closes)</strong> : under}
        answers={<AnswerRow answers={all} />}
        cord={<Cord steps={bench.state.steps} gates={bench.state.gates} shown={shown} />}
      />
      {helpOpen && <KeysHelp answers={all} />}
    </>
  );
}
