/** Heaps with an aircraft planted in them, and the same for a pack that they cannot bear. */
import type { Composed, Heap, Solve, WayOut } from '@junctor/core';
import { assemble, compose, draftOf, judge, makeCatalogue } from '@junctor/core';
import { shippedModels } from '@junctor/catalogue';
import { loadSolver } from '@junctor/solver/node';
import { heapOf } from '../generators/heaps';
import type { Measurement } from './measurement';
import { atMost, none } from './measurement';
import { median } from './timed';

const models = shippedModels();
const catalogue = makeCatalogue(models);
/** No board that ships bears so many. */
const tooManyCells = 10;
const [few, many] = [9, 300];

export async function composing(long: boolean): Promise<Measurement[]> {
  const solve = await loadSolver();
  const seeds = Array.from({ length: long ? many : few }, (_, index) => index + 1);
  const tried = seeds.map((seed) => timedCompose(heapOf(seed, catalogue), solve));
  const failed = tried.flatMap(({ heap, made }) => (isClean(made) ? [] : [`${heap.name}: ${words(made)}`]));
  const clashing = seeds.map((seed) =>
    timedCompose({ ...heapOf(seed, catalogue), cells: [tooManyCells, tooManyCells] }, solve),
  );
  const wrong = clashing.flatMap(({ heap, made }) => {
    if (made.is !== 'clash') return [`${heap.name}: ${made.is}`];
    const [first] = made.waysOut;
    return first && isClean(composed(taken(heap, first), solve))
      ? []
      : [`${heap.name}: ${made.conflict.why} ${first?.message ?? 'no way out'}`];
  });
  for (const line of [...failed, ...wrong].slice(0, 8)) console.log(`# ${line}`);
  const seconds = [...tried, ...clashing].map((one) => one.seconds).sort((a, b) => a - b);
  return [
    none(`heaps with an aircraft in them that are not planned clean, of ${seeds.length}:`, failed.length),
    none(
      `heaps for a pack that they cannot bear without a first way out that works, of ${seeds.length}:`,
      wrong.length,
    ),
    atMost('composed, median', { value: median(seconds), unit: 's', bar: 1, digits: 2 }),
    atMost('composed, 95 of 100', { value: seconds[Math.floor(0.95 * seconds.length)]!, unit: 's', bar: 5 }),
  ];
}

function timedCompose(heap: Heap, solve: Solve): { heap: Heap; made: Composed; seconds: number } {
  const from = performance.now();
  const made = composed(heap, solve);
  return { heap, made, seconds: (performance.now() - from) / 1000 };
}

function composed(heap: Heap, solve: Solve): Composed {
  const { draft, pack } = draftOf(heap, catalogue);
  return compose(draft, { catalogue, stock: models, pack, solve });
}

/** Planned, and no rule says that it kills or stops. */
function isClean(made: Composed): boolean {
  if (made.is !== 'composed') return false;
  const { target, links, cells } = made.plan;
  return judge(assemble(target, catalogue), links, cells).every(({ severity }) => severity === 'warn');
}

function words(made: Composed): string {
  if (made.is === 'lacking') return made.lacks.map(({ says }) => says).join('; ');
  return made.is === 'clash' ? made.conflict.why : made.is;
}

/** The heap as it is once a way out is taken. */
function taken(heap: Heap, way: WayOut): Heap {
  return way.do === 'cells' ? { ...heap, cells: way.cells } : heap;
}
