/**
 * Heaps in which something is planted that cannot be: answered by count, or by a set that alone is impossible and is
 * possible without any one member, whose first way out works when it is taken; or by parts taken besides that mend it.
 */
import type { Composed, ComposeGiven, Draft } from '@junctor/core';
import { compose, planWiring, withWayOut } from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import { generate } from '../generators/generate';
import { impossible, kindsOfImpossible } from '../generators/impossible';
import { truth } from '../oracles/truth';
import { catalogue } from '../trials/ruleTrial';
import type { Measurement } from './measurement';
import { atMost, none } from './measurement';
import { isMinimal } from './minimalClash';
import { median } from './timed';

const [few, many] = [15, 300];
/** What everybody forgets. */
const forgotten = /^(BAT|CAP|ANT.*)$/;

export async function plantedClashes(long: boolean): Promise<Measurement[]> {
  const solve = await loadSolver();
  const wanted = long ? many : few;
  const loose: string[] = [];
  const stuck: string[] = [];
  /** Until the set is said, and until its ways out have been tried. */
  const seconds: number[] = [];
  const withWays: number[] = [];
  const answers = new Map<string, number>();
  for (let seed = 1; seconds.length < wanted; seed++) {
    const good = generate(seed, catalogue, 'roomy', 6);
    const one = impossible(good, catalogue, kindsOfImpossible[seed % kindsOfImpossible.length]!, seed);
    if (!one || planWiring({ ...good, catalogue, pinned: [] }, solve).is !== 'planned') continue;
    const slots = Object.fromEntries(Object.entries(one.slots).filter(([slot]) => !forgotten.test(slot)));
    const draft: Draft = { slots, wishes: one.wishes, pinned: one.pinned, cells: one.cells };
    const given: ComposeGiven = { catalogue: one.catalogue, stock: one.catalogue.models, pack: null, solve };
    const begun = performance.now();
    let said = begun;
    const onProgress = (_share: number, words: string) => {
      if (words.startsWith('looking for a way out')) said = performance.now();
    };
    const made = compose(draft, { ...given, onProgress });
    withWays.push((performance.now() - begun) / 1000);
    seconds.push(((said > begun ? said : performance.now()) - begun) / 1000);
    answers.set(made.is, (answers.get(made.is) ?? 0) + 1);
    if (made.is === 'lacking') continue;
    if (made.is !== 'clash') {
      if (!isSound(made, one.catalogue)) stuck.push(`${one.name}: ${made.is}`);
      continue;
    }
    const { conflict, waysOut } = made;
    const members = [...conflict.wishes, ...conflict.parts].join(', ');
    if (!isMinimal(one, conflict, solve)) loose.push(`${one.name}: ${members}: ${conflict.why}`);
    const [first] = waysOut;
    if (!first || !isSound(compose(withWayOut(first, draft), given), one.catalogue))
      stuck.push(`${one.name}: ${first?.message ?? 'no way out'}: ${conflict.why}`);
  }
  console.log(`# ${[...answers].map(([is, count]) => `${count} ${is}`).join('; ')}`);
  for (const line of [...loose.map((one) => `not minimal: ${one}`), ...stuck.map((one) => `way out: ${one}`)])
    console.log(`# ${line}`);
  const at95 = (list: readonly number[]) => [...list].sort((a, b) => a - b)[Math.floor(0.95 * list.length)]!;
  return [
    none(`planted clashes answered with a set that is not minimal, of ${wanted}:`, loose.length),
    none('without a first way out that works when taken:', stuck.length),
    atMost('a planted clash answered, median', { value: median(seconds), unit: 's', bar: 1, digits: 2 }),
    atMost('95 of 100', { value: at95(seconds), unit: 's', bar: 5 }),
    atMost('its ways out, 95 of 100', { value: at95(withWays), unit: 's', bar: 20 }),
  ];
}

/** Composed, and a judge of its own finds it fine. */
function isSound(made: Composed, all: ComposeGiven['catalogue']): boolean {
  if (made.is !== 'composed') return false;
  const { target, links, cells } = made.plan;
  return truth({ build: target, catalogue: all, links, cells }, target).is === 'fine';
}
