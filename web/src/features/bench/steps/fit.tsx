import type { StepOf } from '@junctor/core';
import { partHands } from '../../../bench/hands/partHands';
import { Fact } from '../../../ui/Frame';
import { withParts } from '../commonAnswers';
import { plainStep } from './plainStep';

/** A part goes to its place. */
export const fit = plainStep<StepOf<'fit'>>({
  hands: (bench, { subject }) => partHands(bench, subject),
  hint: () => 'Right model, right way up, nothing metal under it.',
  done: ({ subject }) => `${subject} is in place`,
  recorded: ({ effect }, bench) => withParts(bench, effect),
  crossing: ({ subject }, { state }) => {
    const { name, maker, massG, turns, tails } = state.target.model(subject)!;
    return (
      <>
        <Fact>
          <dt>part</dt>
          <dd className="long">{name}</dd>
        </Fact>
        <Fact>
          <dt>maker</dt>
          <dd className="long">{maker}</dd>
        </Fact>
        <Fact>
          <dt>mass</dt>
          <dd>{massG} g</dd>
        </Fact>
        {turns && (
          <Fact>
            <dt>turns, by its leads</dt>
            <dd className="long">
              {turns}: {tails.map(({ colour }) => colour).join(' and ')}
            </dd>
          </Fact>
        )}
      </>
    );
  },
});
