/** One joint: which wire to which pad, how to make it, and where it really went. */
import type { StepOf, TerminalRef } from '@junctor/core';
import { landedOn, neighboursOf, padWords, printed, slotWords, splitJoint, splitRef, wireWords } from '@junctor/core';
import { useState } from 'react';
import type { Answer } from '../../../ui/Answers';
import { Tag } from '../../../bench/frame/Tag';
import { commonAnswers, whyAnswer } from '../commonAnswers';
import { FindingsLine } from '../../../bench/frame/FindingsLine';
import { jointHands } from '../../../bench/hands/jointHands';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { insert } from '../land/insert';
import { PictureBefore } from '../PictureBefore';
import { Minding } from '../land/Minding';
import { RecipeFacts } from '../RecipeFacts';
import type { StepScreen } from './stepScreen';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

export const land: StepScreen<StepOf<'land'>> = {
  hands: (bench, step, options) => {
    const { about, subject } = step;
    const at = bench.state.target.build.wires[about.wire]?.ends[about.end].at;
    return at?.on === 'cavity' ? insert.hands(bench, step) : jointHands(bench, subject, options);
  },
  Screen: LandScreen,
};

function LandScreen({ step }: { step: StepOf<'land'> }) {
  const { target } = useBench().state;
  const { about } = step;
  const { at } = target.build.wires[about.wire]!.ends[about.end];
  return at.on === 'terminal' ? <SolderScreen step={step} /> : <insert.Screen step={step} />;
}

function SolderScreen({ step }: { step: StepOf<'land'> }) {
  const bench = useBench();
  const doors = useDoors();
  const { target } = bench.state;
  const { wire: id, end } = splitJoint(step.subject)!;
  const wire = target.build.wires[id]!;
  const ref = landedOn(wire.ends[end])!;
  const [flipped, setFlipped] = useState(false);
  const otherPad = (at: TerminalRef) => doors.open(doors.places.otherPad(step.subject, at));
  const answers: Answer[] = [
    ...commonAnswers(bench, doors),
    { key: '7', also: ['o'], label: 'Other pad', act: () => otherPad(ref) },
    whyAnswer(doors),
    { key: '9', also: ['f'], label: 'Flip the board', hidden: true, act: () => setFlipped(!flipped) },
    {
      key: 'l',
      label: 'Cut to another length',
      hidden: true,
      act: () => doors.open(doors.places.length(id)),
      blocked: wire.from === 'stock' ? null : 'it came with its part',
    },
    {
      key: 'Enter',
      label: `Done: on ${printed(ref, target)}`,
      main: true,
      act: () => bench.record(step.effect, step.id),
    },
  ];
  const hands = jointHands(bench, step.subject, { flipped, onPick: otherPad });
  return (
    <JobFrame
      place="Bench"
      shown={step}
      {...hands}
      answers={answers}
      sentence={
        <>
          Solder <strong>{wireWords(wire, target)}</strong> to {slotWords(splitRef(ref).slot, target)}, pad{' '}
          <Tag at={ref}>{padWords(ref, target)}</Tag>
        </>
      }
      under={<FindingsLine otherwise={neighbourLine(bench, ref)} />}
      crossing={
        <>
          <RecipeFacts joint={step.subject} />
          <Minding wire={id} bench={bench} />
          <PictureBefore slots={[splitRef(ref).slot]} />
        </>
      }
    />
  );
}

/** "A3 and C3 lie 1.4 mm away: look for a bridge." */
function neighbourLine(bench: Bench, ref: TerminalRef): string {
  const { slot, terminal } = splitRef(ref);
  const model = bench.state.target.model(slot)!;
  const near = neighboursOf(
    model,
    model.terminals.find(({ id }) => id === terminal)!,
  ).slice(0, 2);
  if (near.length === 0) return 'No other pad is close. Tip wiped and wetted; pack and USB stay unplugged.';
  const names = near.map((neighbour) => neighbour.terminal.printed).join(' and ');
  return `${names} ${near.length > 1 ? 'lie' : 'lies'} ${near[0]!.gapMm.toFixed(1)} mm away: look for a bridge. Tip wiped; pack, USB unplugged.`;
}
