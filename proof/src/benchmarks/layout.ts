/** The layout: ways, margins, tolerances, the best lay, and how long they take. */
import { shippedModels, shippedTemplates } from '@junctor/catalogue';
import { assemble, balanceOf, bestLay, cutList, layoutOf, posesFor, routeMap } from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import { layoutsByHand } from '../cases/layouts/byHand';
import { random } from '../generators/generate';
import { shortestByWalking } from '../oracles/shortestWays';
import { cuttingOf, isPossible, triedAll } from '../trials/cutting';
import { weighedByDrawing } from '../trials/masses';
import { byHandMm, marginOf, moved, searchedAndTried, smallAircraft } from '../trials/layouts';
import { catalogue } from '../trials/ruleTrial';
import type { Measurement } from './measurement';
import { atMost, none } from './measurement';
import { median, timed } from './timed';

const [draws, smallOnes, weighings] = [2000, 25, 1000];

export async function layout(): Promise<Measurement[]> {
  return [ways(), byHand(), ...tolerances(), ...masses(), lays(), ...times(), ...(await cuts())];
}

function ways(): Measurement {
  let [all, differ] = [0, 0];
  for (const { frame } of shippedModels()) {
    if (!frame) continue;
    const points = Object.keys(frame.route.points);
    for (const a of points)
      for (const b of points) {
        all += 1;
        if (Math.abs(routeMap(frame).mm(a, b) - shortestByWalking(frame, a, b)) > 1e-6) differ += 1;
      }
  }
  return none(`ways that differ from the shortest of all that can be walked, of ${all} on every frame:`, differ);
}

function byHand(): Measurement {
  const off = layoutsByHand.filter((one) => !(Math.abs(marginOf(one).mm! - byHandMm(one)) <= 0.1));
  for (const one of off)
    console.log(`# ${one.margin}, ${one.says}: ${marginOf(one).mm}, by hand ${byHandMm(one).toFixed(2)}`);
  return none(
    `margins that differ from those reckoned by hand by more than 0.1 mm, of ${layoutsByHand.length}:`,
    off.length,
  );
}

function tolerances(): Measurement[] {
  const chance = random(20261201);
  let beyond = 0;
  let least = 100;
  for (const one of layoutsByHand) {
    const { worstMm, likelyMm } = marginOf(one);
    const drawn = Array.from({ length: draws }, () => moved(one, chance));
    beyond += drawn.filter((mm) => mm < worstMm! - 1e-9).length;
    const inside = drawn.filter((mm) => mm >= likelyMm![0] - 1e-9 && mm <= likelyMm![1] + 1e-9).length;
    least = Math.min(least, (100 * inside) / draws);
  }
  return [
    none(`draws beyond the worst case, of ${draws * layoutsByHand.length}:`, beyond),
    {
      what: 'draws within the likely band, where fewest are:',
      value: least.toFixed(1),
      unit: '%',
      bar: '>=95',
      met: least >= 95,
    },
  ];
}

/** A quarter each of four aircraft; half of the draws flat, half normal. */
function masses(): Measurement[] {
  const chance = random(20261202);
  const plans = shippedTemplates().map(({ plan: { target } }) => target);
  const layouts = plans.map((target) => layoutOf(assemble(target, catalogue))!);
  const tried = Array.from({ length: weighings }, (_, index) => {
    const build = plans[index % plans.length]!;
    const shape = index % 8 < 4 ? 'flat' : 'normal';
    const { laid } = layouts[index % plans.length]!;
    const { g, centre } = balanceOf(laid.assembly, {}, laid);
    const drawn = weighedByDrawing(build, { catalogue, poses: laid.poses }, chance, shape);
    const isWithin = g[0] <= drawn.g && drawn.g <= g[1];
    const offMm = Math.abs(drawn.centreMm[1] - centre!.atMm[1]);
    return { isWithin, isCentred: offMm <= centre!.offMm };
  });
  const share = (what: string, of: (one: (typeof tried)[number]) => boolean): Measurement => {
    const inside = (100 * tried.filter(of).length) / tried.length;
    return { what, value: inside.toFixed(1), unit: '%', bar: '>=95', met: inside >= 95 };
  };
  return [
    share(`masses within the band, of ${weighings} drawn:`, ({ isWithin }) => isWithin),
    share(`centres of gravity within theirs, of ${weighings} drawn:`, ({ isCentred }) => isCentred),
  ];
}

function lays(): Measurement {
  const chance = random(7);
  const differ = Array.from({ length: smallOnes }, () => searchedAndTried(smallAircraft(chance))).filter(
    ([searched, tried]) => Math.abs(searched - tried) > 1e-6,
  );
  for (const [searched, tried] of differ) console.log(`# searched ${searched}, the best of all ${tried}`);
  return none(`lays that are not the best of all there are, of ${smallOnes}:`, differ.length);
}

function times(): Measurement[] {
  const plans = shippedTemplates().map(({ plan: { target } }) => target);
  const search = plans.map((target) => timed(() => bestLay(assemble({ ...target }, catalogue))));
  const turns = plans.flatMap((target) => {
    const assembly = assemble(target, catalogue);
    const { poses } = bestLay(assembly);
    const slot = Object.keys(target.slots).find((name) => assembly.model(name)!.kind === 'controller') ?? 'FC';
    return posesFor(layoutOf(assembly, poses)!.laid, slot).flatMap((pose) =>
      Array.from({ length: 8 }, () =>
        timed(() => {
          const fitted = target.slots[slot]!;
          layoutOf(assemble({ ...target, slots: { ...target.slots, [slot]: { ...fitted, pose } } }, catalogue), poses);
        }),
      ),
    );
  });
  return [
    atMost('slowest search of the best lay of a demo aircraft', {
      value: Math.max(...search),
      unit: 'ms',
      bar: 1000,
      digits: 0,
    }),
    atMost('all margins after one turn', { value: median(turns), unit: 'ms', bar: 16 }),
  ];
}

async function cuts(): Promise<Measurement[]> {
  const solve = await loadSolver();
  const chance = random(5);
  const small = Array.from({ length: 200 }, () => cuttingOf(chance, 6, 3));
  const worse = small.filter((one) => {
    const list = cutList(one.wires, one.offcuts, solve);
    const least = triedAll(one);
    return !isPossible(one, list) || list.newMm > least.newMm || list.pieces.length > least.pieces;
  });
  const large = Array.from({ length: 20 }, (_, index) => cuttingOf(chance, 60, 40, index % 2 === 0 ? 4 : 1));
  const made = large.map((one) => {
    const from = performance.now();
    const list = cutList(one.wires, one.offcuts, solve);
    return { one, list, seconds: (performance.now() - from) / 1000 };
  });
  const gaps = made.map(({ list: { newMm, leastNewMm } }) => newMm - leastNewMm);
  console.log(
    `# ${gaps.filter((gap) => gap === 0).length} of ${made.length} large cut lists are proven, the widest gap is ${Math.max(...gaps)} mm`,
  );
  return [
    none('small cut lists that some other way of cutting beats, of 200:', worse.length),
    none('large cut lists that cannot be cut, of 20:', made.filter(({ one, list }) => !isPossible(one, list)).length),
    atMost('slowest cut list of 60 wires and 40 offcuts', {
      value: Math.max(...made.map(({ seconds }) => seconds)),
      unit: 's',
      bar: 2,
    }),
  ];
}
