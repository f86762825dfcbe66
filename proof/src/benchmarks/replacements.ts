/**
 * Replacing a part: its steps lead to exactly the planned build, what is asked again lies within what an independent
 * reach says was touched, and is all of it.
 */
import { loadSolver } from '@junctor/solver/node';
import { planWiring } from '@junctor/core';
import { generate, random } from '../generators/generate';
import type { Replaced } from '../trials/replacing';
import { replaced } from '../trials/replacing';
import type { GoodBuild } from '../trials/ruleTrial';
import { catalogue, goodBuilds } from '../trials/ruleTrial';
import type { Measurement } from './measurement';
import { none } from './measurement';

const wanted = 200;
const generated = 24;

export async function replacements(): Promise<Measurement[]> {
  const builds = [...goodBuilds(), ...(await plannedBuilds())];
  const chance = random(20261128);
  const pick = <T>(list: readonly T[]) => list[Math.floor(chance() * list.length)]!;
  const done = Array.from({ length: wanted }, () => {
    const good = pick(builds);
    return replaced(good, pick(Object.keys(good.build.slots)));
  });
  const count = (what: string, wrong: (one: Replaced) => readonly string[]): Measurement => {
    const bad = done.filter((one) => wrong(one).length > 0);
    for (const one of bad) console.log(`# ${what}: ${one.of}, ${one.slot}: ${wrong(one).slice(0, 4).join('; ')}`);
    return none(`${what}, of ${wanted}:`, bad.length);
  };
  return [
    count('replacements that do not end in the planned build', ({ exact }) => (exact ? [] : ['differs'])),
    count('replacements that ask for a touch which nothing reached', ({ beyond }) => beyond),
    count('replacements that forget a touch which was reached', ({ forgotten }) => forgotten),
    count('replacements that leave a joint without a look', ({ unseen }) => unseen),
  ];
}

async function plannedBuilds(): Promise<GoodBuild[]> {
  const solve = await loadSolver();
  const found: GoodBuild[] = [];
  for (let seed = 1; found.length < generated; seed++) {
    const { name, slots, cells, wishes } = generate(seed, catalogue, 'roomy');
    const plan = planWiring({ slots, catalogue, cells, wishes, pinned: [] }, solve);
    if (plan.is === 'planned') found.push({ name: `${name} ${seed}`, build: plan.target, links: plan.links, cells });
  }
  return found;
}
