/**
 * Replacing a part: its steps lead to exactly the planned build, and what is asked again is the least that proves again
 * what the work can have spoiled, by an independent reach, solver and meter.
 */
import { loadSolver } from '@junctor/solver/node';
import type { Meter } from '@junctor/core';
import { planWiring } from '@junctor/core';
import { basisOf, shippedList, shippedMeter, shippedTemplates } from '@junctor/catalogue';
import { generate, random } from '../generators/generate';
import type { Replaced } from '../trials/replacing';
import { askedAndLeast, forgotten, replaced } from '../trials/replacing';
import type { GoodBuild } from '../trials/ruleTrial';
import { catalogue, goodBuilds } from '../trials/ruleTrial';
import type { Measurement } from './measurement';
import { none } from './measurement';

const wanted = 200;
const generated = 24;
/** Replacements after which faults are put in. */
const proved = 40;

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
    count('replacements that leave a joint without a look', ({ unseen }) => unseen),
    ...(await afterwards(pick)),
  ];
}

/** On builds whose whole list ships. */
async function afterwards(pick: <T>(list: readonly T[]) => T): Promise<Measurement[]> {
  const solve = await loadSolver();
  const meter: Meter = { id: 'meter', name: 'meter', ...shippedMeter };
  const listed = shippedTemplates().map(({ name, plan: { target, links, cells } }): GoodBuild => ({
    name,
    build: target,
    links,
    cells,
  }));
  let [forgot, asked, least, otherwise] = [0, 0, 0, 0];
  for (let index = 0; index < proved; index++) {
    const good = pick(listed);
    const list = shippedList(basisOf(good.build, meter))!;
    const done = replaced(good, pick(Object.keys(good.build.slots)), { list, meter });
    const missed = forgotten(done, good, meter);
    const [own, fewest] = askedAndLeast(done, good, solve);
    forgot += missed.length;
    [asked, least] = [asked + own, least + fewest];
    if (own !== fewest) otherwise += 1;
    for (const line of missed.slice(0, 3)) console.log(`# not found after work: ${good.name}, ${done.slot}: ${line}`);
    if (own !== fewest) console.log(`# ${good.name}, ${done.slot}: ${own} asked, ${fewest} would do`);
  }
  return [
    none(`faults near the work that the whole list finds and not what is asked after it, in ${proved}:`, forgot),
    none(
      `replacements after which more is asked than the least (${asked} touches, least ${least}), of ${proved}:`,
      otherwise,
    ),
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
