/** Parts exchanged in half-built aircraft: what can stay stays, and the steps end in the new plan. */
import type { Act, Build, ComposeGiven, Draft, PartModel } from '@junctor/core';
import {
  applyAct,
  assemble,
  compose,
  difference,
  draftOf,
  emptyBuild,
  inPlaceOf,
  makeCatalogue,
  wiresBegun,
} from '@junctor/core';
import { shippedModels } from '@junctor/catalogue';
import { loadSolver } from '@junctor/solver/node';
import { heapOf } from '../generators/heaps';
import { random as randomOf } from '../generators/generate';
import { undoneInVain } from '../oracles/couldStay';
import type { Measurement } from './measurement';
import { none } from './measurement';

const models = shippedModels();
const catalogue = makeCatalogue(models);
const [few, many] = [12, 100];

interface Exchanged {
  says: string;
  vain: readonly string[];
  astray: readonly string[];
  grave: readonly string[];
}

export async function exchanges(long: boolean): Promise<Measurement[]> {
  const given = { catalogue, stock: models, pack: null, solve: await loadSolver() };
  const wanted = long ? many : few;
  const made: Exchanged[] = [];
  for (let seed = 1; made.length < wanted && seed < wanted * 8; seed++) {
    const one = exchange(seed, given);
    if (one) made.push(one);
  }
  const bad = (key: 'vain' | 'astray' | 'grave') => made.filter((one) => one[key].length > 0);
  for (const { says, vain, astray, grave } of made)
    for (const line of [...vain, ...astray, ...grave].slice(0, 3)) console.log(`# ${says}: ${line}`);
  return [
    none(`parts to be exchanged in half-built aircraft that were not found, of ${wanted}:`, wanted - made.length),
    none('of them with something undone that could stay:', bad('vain').length),
    none('of them whose steps do not end in the new plan:', bad('astray').length),
    none('of them with a rule that stops or kills:', bad('grave').length),
  ];
}

/** null: such a part has no other, or with it the aircraft cannot be. */
function exchange(seed: number, given: ComposeGiven): Exchanged | null {
  const random = randomOf(seed);
  const { draft } = draftOf(heapOf(seed, catalogue), catalogue);
  const first = compose(draft, given);
  if (first.is !== 'composed') return null;
  const { target, wishes, pinned, cells } = first.plan;
  const built = partly(target, random());
  const slots = Object.keys(built.slots).filter((slot) => othersFor(target, slot).length > 0);
  const slot = slots[Math.floor(random() * slots.length)];
  if (!slot) return null;
  const others = othersFor(target, slot);
  const model = others[Math.floor(random() * others.length)]!;
  const before: Draft = { slots: target.slots, wishes, pinned, cells };
  const other = inPlaceOf(before, [slot], { model }, catalogue);
  const second = compose(other, { ...given, keep: wiresBegun(built, target), built });
  if (second.is !== 'composed') return null;
  const wanted = second.plan.target;
  const acts = difference(built, wanted).flatMap(({ effect }) => effect);
  return {
    says: `${seed} ${slot}: ${target.slots[slot]!.model} to ${model.id}`,
    vain: undoneInVain(built, wanted),
    astray: differing(done(built, acts), wanted),
    grave: second.planned.findings.filter(({ severity }) => severity !== 'warn').map(({ message }) => message),
  };
}

function othersFor(build: Build, slot: string): PartModel[] {
  const own = catalogue.model(build.slots[slot]!);
  return own.kind === 'frame' ? [] : models.filter(({ kind, id }) => kind === own.kind && id !== own.id);
}

/** So much of it done, in the order of its steps. */
function partly(target: Build, share: number): Build {
  const changes = difference(emptyBuild, target);
  return done(
    emptyBuild,
    changes.slice(0, Math.ceil(changes.length * share)).flatMap(({ effect }) => effect),
  );
}

function done(from: Build, acts: readonly Act[]): Build {
  return acts.reduce((left, act) => applyAct(left, act), assemble(from, catalogue)).build;
}

/** Parts, ends of wires and plugs in which one aircraft is not the other. */
function differing(is: Build, wanted: Build): string[] {
  const told = ({ slots, wires, mates }: Build) =>
    new Set([
      ...Object.entries(slots).map(([slot, { model, revision }]) => `${slot} is ${model} ${revision}`),
      ...Object.values(wires).map(({ id, ends }) => `${id} from ${JSON.stringify(ends.map(({ at }) => at))}`),
      ...Object.entries(mates).map(([id, { a, b }]) => `${id} joins ${JSON.stringify([a, b])}`),
    ]);
  const [has, should] = [told(is), told(wanted)];
  return [...should].filter((line) => !has.has(line)).concat([...has].filter((line) => !should.has(line)));
}
