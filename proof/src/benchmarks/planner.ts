/**
 * The planner on generated builds of all families: solved, proven, minimal, and how fast. Truth: rules, a powered DC
 * solve, and trying everything.
 */
import type { Build, PlanRequest, Solve } from '@junctor/core';
import { planWiring } from '@junctor/core';
import { catalogue } from '../trials/ruleTrial';
import { truth } from '../oracles/truth';
import type { Generated } from '../generators/generate';
import { freeGrounds, groundLost } from '../oracles/groundLost';
import { isMinimal } from './minimalClash';
import { bestByTrying } from '../oracles/bestByTrying';
import { generate } from '../generators/generate';
import { loadSolver } from '@junctor/solver/node';
import type { Measurement } from './measurement';
import { atMost } from './measurement';

const builds = 330;
const enumerated = 50;

export async function planner(): Promise<Measurement[]> {
  const solve = await loadSolver();
  const all = Array.from({ length: builds }, (_, index) => {
    const given = generate(index + 1, catalogue, kindOf(index));
    const started = performance.now();
    const result = planWiring(requestOf(given), solve);
    return { given, result, ms: performance.now() - started };
  });
  const planned = all.flatMap(({ given, result }) => (result.is === 'planned' ? [{ given, result }] : []));
  const conflicts = all.flatMap(({ given, result }) => (result.is === 'conflict' ? [{ given, result }] : []));
  const bad = planned.filter(
    ({ given, result }) =>
      result.findings.some(({ severity }) => severity !== 'warn') ||
      truth({ build: result.target, catalogue, links: result.links, cells: given.cells }, result.target).is !== 'fine',
  );
  const grounds = planned.reduce((sum, { given, result }) => sum + avoidable(given, result.target), 0);
  const loose = conflicts.filter(({ given, result }) => !isMinimal(requestOf(given), result, solve));
  for (const { given, result } of loose)
    console.log(`# not minimal: ${given.name}: ${[...result.wishes, ...result.parts].join(', ')}: ${result.why}`);
  const times = all.map(({ ms }) => ms).sort((a, b) => a - b);
  const at = (share: number) => times[Math.min(times.length - 1, Math.floor(share * times.length))]! / 1000;
  const same = enumerate(solve);
  const families = new Set(all.map(({ given }) => given.name.replace(/^\d+ |,.*/g, ''))).size;
  const full = all.filter(({ given }) => given.kind === 'full').length;
  console.log(
    `# ${families} families; planned ${planned.length}, impossible ${conflicts.length}, given up ${all.filter(({ result }) => result.is === 'gave up').length}`,
  );
  const crossings = (when: 'before' | 'after') => planned.reduce((sum, { result }) => sum + result.crossings[when], 0);
  console.log(
    `# wires that cross seen from above: ${crossings('after')}, before exchanging pads that serve alike ${crossings('before')}`,
  );
  const count = (what: string, value: number, bar: string, met: boolean): Measurement => ({
    what,
    value: String(value),
    unit: '',
    bar,
    met,
  });
  return [
    count('generated builds', all.length, '>=300', all.length >= 300),
    count('of them without a spare serial port', full, '>=100', full >= 100),
    count('impossible builds', conflicts.length, '>=60', conflicts.length >= 60),
    count(
      'builds given up',
      all.filter(({ result }) => result.is === 'gave up').length,
      '0',
      all.every(({ result }) => result.is !== 'gave up'),
    ),
    count('plans that a rule or the powered solve objects to', bad.length, '0', bad.length === 0),
    count(
      'parts that lose their only ground with the plug of others, another pad being free',
      grounds,
      '0',
      grounds === 0,
    ),
    count('conflict sets that are not minimal', loose.length, '0', loose.length === 0),
    count(
      `optima equal to trying everything, of ${same.tried}`,
      same.equal,
      `${enumerated}`,
      same.equal === same.tried && same.tried === enumerated,
    ),
    atMost('planning, median', { value: at(0.5), unit: 's', bar: 0.3, digits: 2 }),
    atMost('planning, 95 %', { value: at(0.95), unit: 's', bar: 2, digits: 2 }),
    atMost('planning, slowest', { value: at(1), unit: 's', bar: 10, digits: 2 }),
  ];
}

function kindOf(index: number) {
  if (index % 5 === 4) return 'impossible';
  if (index % 5 < 2) return 'full';
  return 'roomy';
}

function requestOf({ slots, cells, wishes }: Generated): PlanRequest {
  return { slots, catalogue, cells, wishes, pinned: [] };
}

/** Parts without ground once a plug of others is pulled, whose supply's own board has a ground with room. */
function avoidable(given: Generated, target: Build): number {
  const found = groundLost(target, catalogue).filter(({ slot, plug }) => {
    const room = freeGrounds(slot, target, catalogue);
    if (room.length > 0) console.log(`# ground lost: ${given.name}: ${slot} with ${plug}, though ${room.join(', ')}`);
    return room.length > 0;
  });
  return found.length;
}

/** Small builds, held against every possibility. Separate ESCs and regulators would make too many of them. */
function enumerate(solve: Solve): { tried: number; equal: number } {
  let [tried, equal] = [0, 0];
  for (let seed = 1; tried < enumerated; seed++) {
    const given = generate(seed, catalogue, 'roomy', 5);
    if (Object.keys(given.slots).some((slot) => /^ESC\d|^REG/.test(slot))) continue;
    tried += 1;
    const result = planWiring(requestOf(given), solve);
    const best = bestByTrying(given.slots, catalogue, given.cells, given.wishes);
    if (result.is === 'planned' ? JSON.stringify(result.cost) === JSON.stringify(best) : best === null) equal += 1;
    else
      console.log(
        `# differs: ${given.name}: ${result.is === 'planned' ? JSON.stringify(result.cost) : result.is} against ${JSON.stringify(best)}`,
      );
  }
  return { tried, equal };
}
