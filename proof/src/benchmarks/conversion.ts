/** Conversions: the acts lead from the one build exactly to the other, and on small builds nothing shorter exists. */
import type { Build } from '@junctor/core';
import { applyAct, conversion, planWiring, sameJson, assemble } from '@junctor/core';
import { catalogue } from '../trials/ruleTrial';
import { minActs } from '../oracles/fewestActs';
import { generate } from '../generators/generate';
import { smallBuild } from '../generators/smallBuild';
import { loadSolver } from '@junctor/solver/node';
import type { Measurement } from './measurement';

const pairs = 100;
const small = 100;

export async function conversions(): Promise<Measurement[]> {
  const solve = await loadSolver();
  const plan = (seed: number, keep?: Build) => {
    const { slots, cells, wishes } = generate(seed, catalogue, 'roomy');
    return planWiring({ slots, catalogue, cells, wishes, pinned: [], ...(keep ? { keep } : {}) }, solve);
  };
  let [tried, exact, kept] = [0, 0, 0];
  for (let seed = 1; tried < pairs; seed++) {
    const from = plan(seed);
    // Nine families: the same one again, with other parts in other places.
    const to = from.is === 'planned' ? plan(seed + 9 * 40, from.target) : from;
    if (from.is !== 'planned' || to.is !== 'planned') continue;
    tried += 1;
    const made = conversion(assemble(from.target, catalogue), assemble(to.target, catalogue));
    if (reaches(from.target, made.changes, to.target)) exact += 1;
    kept += made.stays.wires.length / Object.keys(to.target.wires).length;
  }
  let shortest = 0;
  for (let seed = 1; seed <= small; seed++) {
    const [from, to] = [smallBuild(seed, catalogue), smallBuild(seed + 1000, catalogue)];
    const { changes, work } = conversion(assemble(from, catalogue), assemble(to, catalogue));
    const cost = work.jointsOpened + work.jointsMade + work.contacts + work.plugs + work.parts;
    const least = minActs(from, to, cost);
    if (least === cost && reaches(from, changes, to)) shortest += 1;
    else console.log(`# small pair ${seed}: ${cost} acts, ${least} would do`);
  }
  console.log(`# of the wires of the new build ${((100 * kept) / tried).toFixed(0)} % were there already`);
  const count = (what: string, value: number, bar: number): Measurement => ({
    what,
    value: String(value),
    unit: '',
    bar: String(bar),
    met: value === bar,
  });
  return [
    count(`conversions that lead exactly there, of ${tried}`, exact, pairs),
    count(`small conversions with nothing shorter, of ${small}`, shortest, small),
  ];
}

/** True when the effects, one after the other, make the one build the other: parts, ends of wires, plugs. */
function reaches(from: Build, changes: ReturnType<typeof conversion>['changes'], to: Build): boolean {
  const made = changes.flatMap(({ effect }) => effect).reduce(applyAct, assemble(from, catalogue));
  const shape = ({ slots, wires, mates }: Build) => ({
    slots: Object.fromEntries(
      Object.entries(slots).map(([slot, { model, revision }]) => [slot, `${model} ${revision}`]),
    ),
    mates,
    wires: Object.fromEntries(
      Object.entries(wires).map(([id, { ends }]) => [id, ends.map(({ at }) => (at.on === 'air' ? 'air' : at))]),
    ),
  });
  return sameJson(shape(made.build), shape(to));
}
