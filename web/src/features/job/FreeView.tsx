/** A wire is on another pad than planned: what that means, and the two ways on: keep it there, or move it. */
import type { Step } from '@junctor/core';
import { landedOn, rebasePlan, padWords, splitJoint, wireWords } from '@junctor/core';
import { useChangePlan } from '../../api/queries';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { Plate } from '../../ui/Plate';
import { commonAnswers, whyAnswer } from './commonAnswers';
import { severityWord } from './FindingsLine';
import { handsFor } from './hands';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import type { Bench } from './useBench';

export function FreeView({ bench, step, setMode }: { bench: Bench; step: Step; setMode: SetMode }) {
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
    ...commonAnswers(bench, setMode),
    whyAnswer(setMode),
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
      act: () => void ('effect' in step && bench.record(step.effect, step.id)),
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
      bench={bench}
      shown={step}
      answers={answers}
      {...handsFor(bench, step, { ringAt: really })}
      sentence={
        <>
          <strong>{capital(wireWords(wire, target))}</strong> is on <Plate>{padWords(really, target)}</Plate>, planned
          was <Plate>{padWords(planned, target)}</Plate>
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

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
