/** Work that is simply done or not: put a part in place, mate a plug, rework a joint, say a caution. */
import type { Act, Note, Step } from '@junctor/core';
import { landedOn, splitJoint, stepWords } from '@junctor/core';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { commonAnswers, notNow, whyAnswer, withParts } from './commonAnswers';
import { FindingsLine } from './FindingsLine';
import { handsFor } from './hands';
import { JobFrame } from './JobFrame';
import { RecipeFacts } from './LandView';
import type { SetMode } from './mode';
import type { Bench } from './useBench';

export function WorkView({ bench, step, setMode }: { bench: Bench; step: Step; setMode: SetMode }) {
  const loose = step.stretch === 'kit';
  const answers: Answer[] = [
    ...commonAnswers(bench, setMode).filter(({ key }) => !loose || key !== '+'),
    whyAnswer(setMode),
    ...(loose ? [notNow(bench, step)] : []),
    ...(step.verb === 'take'
      ? [
          takenTo(bench, step, { key: '1', label: 'On its card', to: 'bench' }),
          takenTo(bench, step, { key: '2', label: 'Bought in', to: 'stock' }),
          takenTo(bench, step, { key: '3', label: 'Scrap', to: 'scrap' }),
        ]
      : []),
    {
      key: 'Enter',
      label: mainLabel(step),
      main: true,
      act: () => {
        const effectOf = (): readonly (Act | Note)[] => {
          if (step.verb === 'take')
            return step.effect.map((act) => (act.do === 'take off' ? { ...act, to: 'customer' } : act));
          if (step.verb === 'say') return [{ saw: 'caution', id: step.subject }];
          if ('effect' in step) return withParts(bench, step.effect);
          return [];
        };
        return bench.record(effectOf(), step.id);
      },
    },
  ];
  return (
    <JobFrame
      bench={bench}
      shown={step}
      answers={answers}
      {...handsFor(bench, step)}
      sentence={<strong>{stepWords(step, bench.state)}</strong>}
      under={<FindingsLine bench={bench} otherwise={step.blockedReason ?? hint(step)} />}
      crossing={<Crossing bench={bench} step={step} />}
    />
  );
}

/** What becomes of a part that came off: the customer's unless said otherwise. */
function takenTo(
  bench: Bench,
  step: Step & { effect: readonly Act[] },
  { key, label, to }: { key: string; label: string; to: 'bench' | 'stock' | 'scrap' },
): Answer {
  return {
    key,
    label,
    act: () =>
      bench.record(
        step.effect.map((act) => (act.do === 'take off' ? { ...act, to } : act)),
        step.id,
      ),
  };
}

function Crossing({ bench, step }: { bench: Bench; step: Step }) {
  if (step.verb === 'redo') return <RecipeFacts bench={bench} joint={step.subject} />;
  if (step.verb === 'fit') {
    const model = bench.state.target.model(step.subject)!;
    return (
      <>
        <Fact>
          <dt>part</dt>
          <dd className="long">{model.name}</dd>
        </Fact>
        <Fact>
          <dt>maker</dt>
          <dd className="long">{model.maker}</dd>
        </Fact>
        <Fact>
          <dt>mass</dt>
          <dd>{model.massG} g</dd>
        </Fact>
        {model.turns && (
          <Fact>
            <dt>turns, by its leads</dt>
            <dd className="long">
              {model.turns}: {model.tails.map(({ colour }) => colour).join(' and ')}
            </dd>
          </Fact>
        )}
      </>
    );
  }
  if (step.verb === 'say' && step.subject === 'hot iron') {
    return (
      <>
        <Fact>
          <dt>iron</dt>
          <dd>400 °C</dd>
        </Fact>
        <Fact>
          <dt>fumes, lead</dt>
          <dd className="long">extract, wash hands</dd>
        </Fact>
        <Fact>
          <dt>snipping</dt>
          <dd className="long">eyes covered, offcuts counted</dd>
        </Fact>
      </>
    );
  }
  const wire = 'subject' in step ? splitJoint(step.subject) : null;
  const at =
    wire && bench.state.asBuilt.build.wires[wire.wire]
      ? landedOn(bench.state.asBuilt.build.wires[wire.wire]!.ends[wire.end])
      : null;
  return at ? (
    <Fact>
      <dt>now on</dt>
      <dd className="long">{at}</dd>
    </Fact>
  ) : null;
}

function mainLabel(step: Step): string {
  switch (step.verb) {
    case 'fit':
      return `${step.subject} is in place`;
    case 'mate':
      return 'It clicked: home';
    case 'lead':
      return 'Order is right';
    case 'redo':
      return 'Reworked';
    case 'say':
      if (step.subject === 'hot iron') return 'Understood';
      if (step.subject.startsWith('set up ')) return 'Set up';
      return 'Done';
    case 'take':
      return `${step.subject} is off: the customer’s`;
    default:
      return 'Done';
  }
}

function hint(step: Step): string {
  switch (step.verb) {
    case 'fit':
      return 'Right model, right way up, nothing metal under it.';
    case 'mate':
      return 'Never force it. Look once more that + and − are not one position off.';
    case 'lead':
      return 'Both housings: each colour in the position drawn.';
    case 'redo':
      return 'Fresh flux, tip clean, short and hot. Let it set without moving.';
    case 'take':
      return 'It belongs to the customer. On its card: it stays with the quad. Bought in: it goes into our stores.';
    case 'drop':
      return 'Fresh solder, light touch, gentle pull: a pad that is tugged cold lifts. Then wick the pads clean.';
    case 'unmate':
      return 'By the housing, never by the wires.';
    case 'say':
      if (step.subject === 'hot iron') return 'Iron at 400 °C. Lithium packs stay away from the iron; fire plan known.';
      if (step.stretch === 'kit') return 'On a header, before any solder: once it is in the quad this costs an hour.';
      return 'Limited power comes next. One line at a time.';
    default:
      return '';
  }
}
