/** A wire is on another pad than planned: what that means, and the two ways on: keep it there, or move it. */
import type { StepOf } from '@junctor/core';
import {
  capital,
  cavityOrderWords,
  landedOn,
  rebasePlan,
  padWords,
  socketOf,
  splitJoint,
  splitRef,
  wireWords,
} from '@junctor/core';
import { useChangePlan } from '../../../api/queries';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { Tag } from '../../../bench/frame/Tag';
import { commonAnswers, whyAnswer } from '../commonAnswers';
import { severityWord } from '../../../bench/frame/FindingsLine';
import { checklistHands } from '../../../bench/hands/checklistHands';
import { asBuiltBench, startBench } from '../../../bench/hands/hands';
import { plugHands } from '../../../bench/hands/plugHands';
import { madeJointHands, reallyOn } from '../../../bench/hands/jointHands';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { PictureBefore } from '../PictureBefore';
import { effectOf, plainStep } from './plainStep';
import type { StepScreen } from './stepScreen';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';

type FreeStep = StepOf<'free'>;

/** A wire that the plan does not have simply comes off. */
const plain = plainStep<FreeStep>({
  hands: (bench, { subject, about }, options) => {
    const at = bench.state.asBuilt.build.wires[about.wire]?.ends[about.end].at;
    if (!at) return checklistHands(bench);
    const old = asBuiltBench(bench);
    const socket = at.on === 'cavity' ? socketOf(at.housing, bench.state.start) : null;
    if (at.on === 'cavity')
      return socket ? plugHands(startBench(bench), socket.slot, socket.connector, about.wire) : checklistHands(bench);
    return madeJointHands(old, subject, options);
  },
  hint: ({ about }, bench) => {
    const at = bench.state.asBuilt.build.wires[about.wire]?.ends[about.end].at;
    if (at?.on === 'cavity') return `Lift the tongue a little with a blade, draw it out. ${cavityOrderWords}.`;
    return stubWords(bench, about.wire);
  },
  done: () => 'It is free',
  recorded: effectOf,
  crossing: ({ subject }, bench) => (
    <>
      <NowOn joint={subject} bench={bench} />
      <PictureBefore slots={slotsOf(bench, subject)} />
    </>
  ),
});

export const free: StepScreen<FreeStep> = { hands: plain.hands, Screen: FreeScreen };

function FreeScreen({ step }: { step: FreeStep }) {
  const { target, asBuilt } = useBench().state;
  // It went to another pad than planned, and the plan may follow; what comes off for good or for a new part may not.
  const { wire, end } = step.about;
  const planned = target.build.wires[wire] && landedOn(target.build.wires[wire].ends[end]);
  const really = asBuilt.build.wires[wire] && landedOn(asBuilt.build.wires[wire].ends[end]);
  const strayed = planned && really && planned !== really && step.group.kind !== 'what comes off';
  return strayed ? <KeepOrMove step={step} /> : <plain.Screen step={step} />;
}

/** What becomes of the end that is free now. */
function stubWords({ state: { target } }: Bench, wire: string): string {
  const off = 'Fresh solder, light touch, gentle pull: a pad that is tugged cold lifts.';
  const stays = target.build.wires[wire]?.ends.some(({ at }) => at.on === 'air');
  return stays ? `${off} The end stays: sleeve it now.` : `${off} Wick the pad clean.`;
}

function slotsOf(bench: Bench, joint: string): string[] {
  const at = reallyOn(bench, joint);
  return at ? [splitRef(at).slot] : [];
}

function NowOn({ joint, bench }: { joint: string; bench: Bench }) {
  const at = reallyOn(bench, joint);
  return at ? (
    <Fact>
      <dt>now on</dt>
      <dd className="long">{padWords(at, bench.state.asBuilt)}</dd>
    </Fact>
  ) : null;
}

function KeepOrMove({ step }: { step: FreeStep }) {
  const bench = useBench();
  const doors = useDoors();
  const { target, asBuilt } = bench.state;
  const change = useChangePlan(bench.job.id);
  const { wire: id, end } = splitJoint(step.subject)!;
  const wire = target.build.wires[id]!;
  const really = landedOn(asBuilt.build.wires[id]!.ends[end])!;
  const planned = landedOn(wire.ends[end])!;
  const offer = rebasePlan(bench.job.plan, asBuilt, { wireId: id, end }, really);
  const [objection] = offer.objections;
  const [worst] = bench.state.findings;
  const keep = () => change.mutate({ version: bench.job.plan.version, changes: offer.changes });
  const answers: Answer[] = [
    ...commonAnswers(bench, doors),
    whyAnswer(doors),
    {
      key: '1',
      label: `Keep it on ${padWords(really, target)}`,
      blocked: objection?.message ?? (change.isPending ? 'changing the plan' : null),
      act: keep,
    },
    {
      key: 'Enter',
      label: `Freed: off ${padWords(really, target)}`,
      main: true,
      act: () => bench.record(step.effect, step.id),
    },
  ];
  const also = offer.changes.length > 1 ? `, and the plan’s other lead takes ${padWords(planned, target)}` : '';
  const underOf = () => {
    if (change.error) return `The plan was not changed: ${change.error.message}`;
    if (!objection) return `No rule objects: it can stay there${also}.`;
    if (worst) return `${severityWord[worst.severity]}: ${worst.message}`;
    return objection.message;
  };
  const under = underOf();
  return (
    <JobFrame
      place="Bench"
      shown={step}
      answers={answers}
      {...madeJointHands(bench, step.subject)}
      sentence={
        <>
          <strong>{capital(wireWords(wire, target))}</strong> is on <Tag at={really}>{padWords(really, target)}</Tag>,
          planned was <Tag at={planned}>{padWords(planned, target)}</Tag>
        </>
      }
      under={<strong role="alert">{under}</strong>}
      crossing={
        <>
          <Fact>
            <dt>keep it</dt>
            <dd className="long">{objection ? `no: ${objection.message}` : 'the plan follows'}</dd>
          </Fact>
          <Fact>
            <dt>move it</dt>
            <dd className="long">desolder here, then solder to {padWords(planned, target)}</dd>
          </Fact>
        </>
      }
    />
  );
}
