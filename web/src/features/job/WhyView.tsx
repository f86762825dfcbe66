/** Why this step, why now, what it opens. */
import { stepWords } from '@junctor/core';
import type { Step } from '@junctor/core';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { handsFor } from './hands';
import { JobFrame } from './JobFrame';
import type { SetMode } from './mode';
import { work } from './mode';
import type { Bench } from './useBench';

export function WhyView({ bench, setMode }: { bench: Bench; setMode: SetMode }) {
  const { steps, gates, words, current } = bench.state;
  if (!current) return null;
  const gate = gates.find(({ id }) => id === current.stretch)!;
  const next = steps[steps.indexOf(current) + 1];
  const answers: Answer[] = [
    { key: 'Escape', label: 'Close', hidden: true, act: () => setMode(work) },
    { key: 'Enter', label: 'Back to the step', main: true, act: () => setMode(work) },
  ];
  return (
    <JobFrame
      bench={bench}
      shown={current}
      answers={answers}
      {...handsFor(bench, current)}
      sentence={
        <>
          Why now: <strong>{reason(current)}</strong>
        </>
      }
      under={`Then: ${next ? stepWords(next, words) : 'nothing more'}. The gate ${gate.id} still wants ${gate.missing.length} of its steps.`}
      crossing={
        <>
          <Fact>
            <dt>gate</dt>
            <dd className="long">{gate.id}</dd>
          </Fact>
          <Fact>
            <dt>school</dt>
            <dd className="long">limited power once, at the end</dd>
          </Fact>
        </>
      }
    />
  );
}

function reason(step: Step): string {
  switch (step.verb) {
    case 'fit':
      return 'its wires can only be cut and landed where it will live';
    case 'land':
      return step.stretch === 'power path'
        ? 'the big thermal mass comes first, before small parts are near'
        : 'one part at a time, so that a short has one place';
    case 'look':
      return step.plug ? 'a bent pin puts the pack on a logic chip' : 'a bridge is seen now or heard later';
    case 'mate':
      return 'both ends were looked at';
    case 'prove':
      return 'a dead meter or a charged capacitor fakes every reading';
    case 'touch':
      return touchReason[step.listed.reason] ?? 'no mistake here may meet the pack';
    case 'say':
    case 'pack':
      return 'the next step gives power';
    case 'permit':
      return 'every check before it holds';
    case 'power':
      return 'a limiter saves the board from what the meter cannot see';
    case 'free':
      return 'it is not where the plan wants it';
    default:
      return 'the plan wants it in this order';
  }
}

const touchReason: Readonly<Record<string, string>> = {
  'first anchor': 'this tone proves that the probes make contact',
  'main leads': 'a short here burns everything; red on + first, then exchanged',
  'main leads exchanged': 'the tone may last as long as the first touch, not longer',
  ground: 'a part without ground returns its current through signal pins',
  'wire end to end': 'both joints and the wire between, in one touch',
  'same net': 'this tone makes silence on the rail count',
  'rail to ground': 'a shorted rail kills its regulator',
  'sister phase': 'an open phase is a cold joint or enamel in the bundle',
  'phase to rail': 'a bridge or a shorted transistor burns the ESC at once',
  neighbours: 'they lie so close that solder can join them',
};
