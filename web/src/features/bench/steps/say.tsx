import type { Recipe, StepOf } from '@junctor/core';
import { lawWords, localLawOf } from '@junctor/core';
import { checklistHands } from '../../../bench/hands/checklistHands';
import type { Hands } from '../../../bench/hands/hands';
import { partHand } from '../../../bench/hands/partHands';
import type { Bench } from '../../../bench/provider/bench';
import { BigLines } from '../../../ui/BigLines';
import { Fact } from '../../../ui/Frame';
import { recipeOf } from '../RecipeFacts';
import { plainStep } from './plainStep';

type SayStep = StepOf<'say'>;

/** A caution, or a small duty that is done and said. */
export const say = plainStep<SayStep>({
  hands: (bench, { about: { caution } }) =>
    caution.is === 'set up' ? setUpHands(bench, caution.slot) : checklistHands(bench),
  hint: ({ about, stretch }, bench) => {
    if (about.caution.is === 'hot iron') {
      const recipe = firstRecipe(bench);
      return `${recipe ? `Iron at ${recipe.setC} °C for the first joint. ` : ''}Lithium packs stay away from it; fire plan known.`;
    }
    if (about.caution.is === 'underlay') return 'The board that goes on next hides it.';
    if (stretch === 'kit') return 'On a header, before any solder: once it is in the quad this costs an hour.';
    return 'Limited power comes next. One line at a time.';
  },
  done: ({ about }) => {
    if (about.caution.is === 'hot iron') return 'Understood';
    return about.caution.is === 'set up' ? 'Set up' : 'Done';
  },
  recorded: ({ subject }) => [{ saw: 'caution', id: subject }],
  others: ({ about }, _bench, { places, open }) =>
    about.caution.is === 'set up' ? [{ key: '5', label: 'The law’s region…', act: () => open(places.setUp) }] : [],
  crossing: ({ about }, bench) => (about.caution.is === 'hot iron' ? <IronFacts recipe={firstRecipe(bench)} /> : null),
});

/** Of the first joint that is still to be made. */
function firstRecipe(bench: Bench): Recipe | null {
  const step = bench.state.steps.find(({ verb, done }) => verb === 'land' && !done);
  return step ? recipeOf(bench, step.subject) : null;
}

function IronFacts({ recipe }: { recipe: Recipe | null }) {
  return (
    <>
      {recipe && (
        <Fact>
          <dt>iron, first joint</dt>
          <dd>{recipe.setC} °C</dd>
        </Fact>
      )}
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

/** The loose receiver, and what the plan wants it to be set to. */
function setUpHands(bench: Bench, slot: string): Hands {
  const links = bench.job.plan.links.filter(({ ends }) => ends.some((end) => end.slot === slot));
  const ports = bench.state.target
    .model(slot)!
    .ports.filter(({ id }) => links.some(({ ends }) => ends.some((end) => end.slot === slot && end.port === id)));
  const lines = [
    ...links.map(({ purpose, ends }) => {
      const others = ends.filter((end) => end.slot !== slot);
      return `${purpose}: to ${others.map((end) => `${end.slot} ${end.port}`).join(', ')}`;
    }),
    ...ports.map(
      ({ inversion, speaks }) =>
        `output ${inversion === 'inverted' ? 'inverted' : 'not inverted'}${speaks.length > 0 ? ', serial' : ''}`,
    ),
    lawWords(localLawOf(bench.job.plan.schools)),
    'signal strength on its channel',
    'what it does when the link is lost',
    'bound to the customer’s radio, firmware written on its part',
  ];
  return {
    left: partHand(bench, slot),
    right: {
      title: 'what to set',
      note: 'on a header, before any solder',
      body: <BigLines label="What to set" lines={lines} />,
    },
  };
}
