/**
 * Requests that cannot be met: none planned, the set that clashes cannot be alone and can without any one of it, and
 * the first way out works when it is taken.
 */
import type { PlanRequest, PlanResult, Slot } from '@junctor/core';
import { planWiring, waysOut, withWayOut } from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import { generate } from '../generators/generate';
import { impossible, kindsOfImpossible } from '../generators/impossible';
import { catalogue } from '../trials/ruleTrial';
import { truth } from '../oracles/truth';
import type { Measurement } from './measurement';
import { atMost, none } from './measurement';

const wanted = 100;
const wantedLong = 300;
type Solve = Awaited<ReturnType<typeof loadSolver>>;

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

/** Parts that only take, and whose absence leaves the others what they need. */
const taking = ['motor', 'receiver', 'camera', 'positioning', 'lights', 'buzzer'];

/** Parts that hang on the trunk, and what the trunk is: the board that the battery lead is on, and the controller. */
const branch = /^(ESC\d|REG|BOX|VTX)/;
const trunk = (parts: readonly Slot[]) => parts.some((slot) => /^(FC|PDB|ESC)$/.test(slot));

function isMinimal(
  request: PlanRequest,
  { wishes, parts }: Extract<PlanResult, { is: 'conflict' }>,
  solve: Solve,
): boolean {
  const kind = (slot: Slot) => request.catalogue.model(request.slots[slot]!).kind;
  const all = parts.every((slot) => taking.includes(kind(slot)));
  const others = Object.keys(request.slots).filter(
    (slot) =>
      parts.length > 0 &&
      !parts.includes(slot) &&
      (taking.includes(kind(slot)) || (!all && (branch.test(slot) || (trunk(parts) && /^(FC|PDB|ESC)$/.test(slot))))),
  );
  const only = (musts: readonly string[], gone: readonly Slot[]): PlanResult =>
    planWiring(
      {
        ...request,
        slots: Object.fromEntries(Object.entries(request.slots).filter(([slot]) => !gone.includes(slot))),
        wishes: request.wishes
          .filter(({ of }) => !gone.includes(of))
          .map((wish) => ({ ...wish, must: musts.includes(wish.id) })),
      },
      solve,
    );
  if (wishes.length + parts.length === 0 || only(wishes, others).is !== 'conflict') return false;
  return (
    wishes.every(
      (id) =>
        only(
          wishes.filter((other) => other !== id),
          [],
        ).is === 'planned',
    ) && parts.every((slot) => goes(only([], [...others, slot]), parts))
  );
}

/** Planned, or stopped by something else that the bare rest lacks. */
function goes(result: PlanResult, parts: readonly Slot[]): boolean {
  return result.is === 'planned' || (result.is === 'conflict' && !result.parts.some((slot) => parts.includes(slot)));
}
