/** One joint: which wire to which pad, how to make it, and where it really went. */
import type { Step } from '@junctor/core';
import {
  alloyOf,
  landedOn,
  neighboursOf,
  padWords,
  printed,
  recipeFor,
  slotWords,
  splitJoint,
  splitRef,
  wireWords,
  assemble,
} from '@junctor/core';
import { useState } from 'react';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { Plate } from '../../ui/Plate';
import { commonAnswers, whyAnswer } from './commonAnswers';
import { FindingsLine } from './FindingsLine';
import { handsFor } from './hands';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import type { Bench } from './useBench';

export function LandView({ bench, step, setMode }: { bench: Bench; step: Step; setMode: SetMode }) {
  const { target } = bench.state;
  const { wire: id, end } = splitJoint(step.subject)!;
  const wire = target.build.wires[id]!;
  const ref = landedOn(wire.ends[end])!;
  const [flipped, setFlipped] = useState(false);
  const land = () => 'effect' in step && bench.record(step.effect, step.id);
  const answers: Answer[] = [
    ...commonAnswers(bench, setMode),
    { key: '7', also: ['o'], label: 'Other pad', act: () => setMode({ is: 'other pad', ref, flipped: false }) },
    whyAnswer(setMode),
    { key: '9', also: ['f'], label: 'Flip the board', hidden: true, act: () => setFlipped(!flipped) },
    { key: 'Enter', label: `Done: on ${printed(ref, target)}`, main: true, act: () => void land() },
  ];
  const hands = handsFor(bench, step, {
    flipped,
    onPick: (picked) => setMode({ is: 'other pad', ref: picked, flipped: false }),
  });
  return (
    <JobFrame
      bench={bench}
      shown={step}
      {...hands}
      answers={answers}
      sentence={
        <>
          Solder <strong>{wireWords(wire, target)}</strong> to {slotWords(splitRef(ref).slot, target)}, pad{' '}
          <Plate>{padWords(ref, target)}</Plate>
        </>
      }
      under={<FindingsLine bench={bench} otherwise={neighbourLine(bench, ref)} />}
      crossing={<RecipeFacts bench={bench} joint={step.subject} />}
    />
  );
}

/** "A3 and C3 lie 1.4 mm away: look for a bridge." */
function neighbourLine(bench: Bench, ref: `${string}.${string}`): string {
  const { build } = bench.state.target;
  const { slot, terminal } = splitRef(ref);
  const model = assemble(build, bench.catalogue).model(slot)!;
  const near = neighboursOf(
    model,
    model.terminals.find(({ id }) => id === terminal)!,
  ).slice(0, 2);
  if (near.length === 0) return 'No other pad is close. Tip wiped and wetted; pack and USB stay unplugged.';
  const names = near.map((neighbour) => neighbour.terminal.printed).join(' and ');
  return `${names} ${near.length > 1 ? 'lie' : 'lies'} ${near[0]!.gapMm.toFixed(1)} mm away: look for a bridge. Tip wiped; pack, USB unplugged.`;
}

export function RecipeFacts({ bench, joint }: { bench: Bench; joint: string }) {
  const { build } = bench.state.target;
  const { wire: id, end } = splitJoint(joint)!;
  const wire = build.wires[id]!;
  const pad = assemble(build, bench.catalogue).terminal(landedOn(wire.ends[end])!)!;
  const { tipMm, setC, stripMm, flowsS, stopS } = recipeFor(wire.awg, pad, alloyOf(bench.job.plan.schools));
  return (
    <>
      <Fact>
        <dt>tip</dt>
        <dd>{tipMm} mm</dd>
      </Fact>
      <Fact>
        <dt>iron, {alloyOf(bench.job.plan.schools)} solder</dt>
        <dd>{setC} °C</dd>
      </Fact>
      <Fact>
        <dt>strip</dt>
        <dd>{stripMm.toFixed(1)} mm</dd>
      </Fact>
      <Fact>
        <dt>flows after</dt>
        <dd>
          {flowsS[0]} to {flowsS[1]} s
        </dd>
      </Fact>
      <Fact>
        <dt>stop at</dt>
        <dd>{stopS} s</dd>
      </Fact>
      <Fact>
        <dt>colour</dt>
        <dd>{wire.colour}</dd>
      </Fact>
    </>
  );
}
