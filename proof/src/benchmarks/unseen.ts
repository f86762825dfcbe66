/**
 * The rules on wirings that nobody mended them by: the planner's, of generated builds, spoiled by the same blind
 * mutations.
 */
import type { Build } from '@junctor/core';
import { planWiring } from '@junctor/core';
import type { Verdict } from '../trials/ruleTrial';
import { caught, catalogue, falseAlarm, tried } from '../trials/ruleTrial';
import { generate } from '../generators/generate';
import { loadSolver } from '@junctor/solver/node';
import type { Measurement } from './measurement';
import { none } from './measurement';

const builds = 18;
const firstSeed = 2000;
/** Of exchanges between far pads, and then of all mutations, every so manyth. */
const [everyFar, everyth] = [60, 8];

export async function unseen(): Promise<Measurement[]> {
  const solve = await loadSolver();
  const all: Verdict[] = [];
  for (let seed = firstSeed, made = 0; made < builds; seed++) {
    const { slots, cells, wishes } = generate(seed, catalogue, 'roomy');
    const planned = planWiring({ slots, catalogue, cells, wishes, pinned: [] }, solve);
    if (planned.is !== 'planned') continue;
    made += 1;
    const build: Build = planned.target;
    all.push(...tried({ name: `generated ${seed}`, build, links: planned.links, cells }, everyFar, everyth));
  }
  for (const { of, is, operator, what, because } of all.filter((verdict) => verdict.is !== 'fine' && !caught(verdict)))
    console.log(`# missed: ${is}: ${of}: ${operator}, ${what}: ${because}`);
  for (const one of all.filter((each) => falseAlarm(each)))
    console.log(`# false: ${one.of}: ${one.operator}, ${one.what}: ${falseAlarm(one)!.message}`);
  const share = (is: 'kill' | 'stop', least: number): Measurement => {
    const of = all.filter((verdict) => verdict.is === is);
    const percent = (100 * of.filter(caught).length) / of.length;
    return {
      what: `${is}s found on ${builds} wirings not seen before, of ${of.length} mutations:`,
      value: percent.toFixed(2),
      unit: '%',
      bar: `>=${least}`,
      met: percent >= least,
    };
  };
  const wrong = all.filter((verdict) => falseAlarm(verdict)).length;
  return [
    share('kill', 100),
    share('stop', 98),
    none(`kills and stops on those that work, of ${all.filter(({ is }) => is === 'fine').length}`, wrong),
  ];
}
