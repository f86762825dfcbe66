/**
 * Requests that cannot be met: none planned, the set that clashes cannot be alone and can without any one of it, and
 * the first way out works when it is taken.
 */
import type { PlanRequest } from '@junctor/core';
import { planWiring, waysOut, withWayOut } from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import { generate } from '../generators/generate';
import { impossible, kindsOfImpossible } from '../generators/impossible';
import { catalogue } from '../trials/ruleTrial';
import { isMinimal } from './minimalClash';
import { truth } from '../oracles/truth';
import type { Measurement } from './measurement';
import { atMost, none } from './measurement';

const wanted = 100;
const wantedLong = 300;

export async function impossibleRequests(long: boolean): Promise<Measurement[]> {
  const solve = await loadSolver();
  const clean: string[] = [];
  const given: string[] = [];
  const loose: string[] = [];
  const stuck: string[] = [];
  const times: number[] = [];
  const ways: number[] = [];
  const tally = new Map<string, number>();
  let asked = 0;
  for (let seed = 1; asked < (long ? wantedLong : wanted); seed++) {
    const good = generate(seed, catalogue, 'roomy', 6);
    const kind = kindsOfImpossible[seed % kindsOfImpossible.length]!;
    const one = impossible(good, catalogue, kind, seed);
    if (!one || planWiring({ ...good, catalogue, pinned: [] }, solve).is !== 'planned') continue;
    asked += 1;
    tally.set(kind, (tally.get(kind) ?? 0) + 1);
    const request: PlanRequest = one;
    const begun = performance.now();
    const result = planWiring(request, solve);
    times.push(performance.now() - begun);
    if (result.is === 'planned') clean.push(one.name);
    if (result.is === 'gave up') given.push(one.name);
    if (result.is !== 'conflict') continue;
    if (!isMinimal(request, result, solve))
      loose.push(`${one.name}: ${[...result.wishes, ...result.parts].join(', ')}: ${result.why}`);
    const asking = performance.now();
    const [first] = waysOut(request, result, solve);
    ways.push(performance.now() - asking);
    const taken = first ? withWayOut(first, request) : null;
    const after = taken && planWiring(taken, solve);
    const works =
      taken &&
      after?.is === 'planned' &&
      truth({ build: after.target, catalogue: one.catalogue, links: after.links, cells: taken.cells }, after.target)
        .is === 'fine';
    if (!works) stuck.push(`${one.name}: ${first?.message ?? 'no way out'}: ${result.why}`);
  }
  console.log(`# ${[...tally].map(([kind, count]) => `${count} ${kind}`).join('; ')}`);
  for (const [what, list] of Object.entries({
    planned: clean,
    'given up': given,
    'not minimal': loose,
    'way out': stuck,
  }))
    for (const line of list) console.log(`# ${what}: ${line}`);
  const at = (list: number[], share: number) =>
    [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(share * list.length))]! / 1000;
  return [
    none(`impossible requests planned, of ${asked} of ${tally.size} kinds:`, clean.length),
    none('given up without an answer:', given.length),
    none('sets that are not minimal:', loose.length),
    none('first ways out that do not work when taken:', stuck.length),
    atMost('the set that clashes, median', { value: at(times, 0.5), unit: 's', bar: 1, digits: 2 }),
    atMost('the set that clashes, 95 %', { value: at(times, 0.95), unit: 's', bar: 5, digits: 2 }),
    atMost('its ways out, 95 %', { value: at(ways, 0.95), unit: 's', bar: 20, digits: 2 }),
  ];
}
