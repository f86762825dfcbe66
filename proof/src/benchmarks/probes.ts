/**
 * The list of touches against faults that were put in by hand: what a technician who follows it to its end has found,
 * and which good aircraft it has stopped.
 */
import type { Build, Meter, Solve } from '@junctor/core';
import { compose, draftOf, planWiring } from '@junctor/core';
import { shippedMeters, shippedTemplate, shippedTemplates } from '@junctor/catalogue';
import { loadSolver } from '@junctor/solver/node';
import { generate } from '../generators/generate';
import { heapOf } from '../generators/heaps';
import type { HowMuch, ProbeCase, ProbeTrial } from '../trials/probeTrial';
import { probeTrial } from '../trials/probeTrial';
import { catalogue } from '../trials/ruleTrial';
import { listPaces } from './listPace';
import type { Measurement } from './measurement';
import { atMost, none } from './measurement';

const meters = shippedMeters.map((meter, index): Meter => ({ id: `meter ${index}`, ...meter }));
/** The quad of the demo shop whose list has a bar of its own. */
const vineyard = 'quad-serial-6s';
const [few, all]: readonly [HowMuch, HowMuch] = [
  { good: 50, every: 8 },
  { good: 60, every: 1 },
];
const generatedBuilds = 12;

export async function probes(long: boolean): Promise<Measurement[]> {
  const solve = await loadSolver();
  const trials = (long ? everyCase(solve) : twoCases()).map((of) => {
    const trial = probeTrial(of, long ? all : few, solve);
    print(trial);
    return trial;
  });
  const ofVineyard = trials.find(({ of: { name } }) => name === vineyard)!;
  const good = trials.length * (long ? all : few).good;
  const stops = (sort: keyof ProbeTrial['stops']) => trials.flatMap((trial) => trial.stops[sort]).length;
  return [
    found(trials, 'kill', 98),
    found(trials, 'stop', 95),
    none(`stops on good aircraft with values moved, of ${good}:`, stops('moved')),
    none(`stops on good aircraft with other insides than their models, of ${good}:`, stops('otherwise')),
    none(
      `touches that do not show metal that they claim to, of ${trials.reduce((sum, { claims }) => sum + claims.made, 0)}:`,
      trials.flatMap(({ claims }) => claims.wrong).length,
    ),
    atMost('list of the vineyard quad', { value: ofVineyard.list.seconds / 60, unit: 'min', bar: 6, digits: 1 }),
    ...listPaces(solve),
  ];
}

/** The same on aircraft that were composed of heaps; every eighth fault of each. */
export async function composedProbes(long: boolean): Promise<Measurement[]> {
  const solve = await loadSolver();
  const trials = composedCases(long ? 50 : 2, solve).map((of) => {
    const trial = probeTrial(of, few, solve);
    print(trial);
    return trial;
  });
  const good = trials.length * few.good;
  const stops = trials.flatMap((trial) => [...trial.stops.moved, ...trial.stops.otherwise]).length;
  return [found(trials, 'kill', 98), found(trials, 'stop', 95), none(`stops on good aircraft, of ${2 * good}:`, stops)];
}

function composedCases(wanted: number, solve: Solve): ProbeCase[] {
  const cases: ProbeCase[] = [];
  for (let seed = 1; cases.length < wanted && seed < 4 * wanted; seed++) {
    const heap = heapOf(seed, catalogue);
    const { draft, pack } = draftOf(heap, catalogue);
    const made = compose(draft, { catalogue, stock: catalogue.models, pack, solve });
    if (made.is !== 'composed') continue;
    const meter = meters[cases.length % meters.length]!;
    cases.push({ name: `${seed} ${heap.name}, ${meter.name}`, build: made.plan.target, meter });
  }
  return cases;
}

function twoCases(): ProbeCase[] {
  return [vineyard, 'quad-culvert-4s'].map((id) => ofTemplate(id, meters[0]!));
}

/** Each template and two of them for the other meters; generated builds of every family, the meters in turn. */
function everyCase(solve: Solve): ProbeCase[] {
  const [typical, ...others] = meters as [Meter, ...Meter[]];
  return [
    ...shippedTemplates().map(({ id }) => ofTemplate(id, typical)),
    ...others.flatMap((meter) =>
      twoCases().map(({ name, build }) => ({ name: `${name}, ${meter.name}`, build, meter })),
    ),
    ...Array.from({ length: generatedBuilds }, (_, index) => {
      const { name, build } = planned(index + 1, solve);
      const meter = meters[index % meters.length]!;
      return { name: `${name}, ${meter.name}`, build, meter };
    }),
  ];
}

function ofTemplate(id: string, meter: Meter): ProbeCase {
  return { name: id, build: shippedTemplate(id).plan.target, meter };
}

/** @throws {Error} If there is no plan for it: with ports to spare there is one. */
function planned(seed: number, solve: Solve): { name: string; build: Build } {
  const { name, slots, cells, wishes } = generate(seed, catalogue, 'roomy', 6);
  const plan = planWiring({ catalogue, slots, cells, wishes, pinned: [] }, solve);
  if (plan.is !== 'planned') throw new Error(`${name} is not planned`);
  return { name, build: plan.target };
}

function print({ of: { name }, list: { touches, seconds }, stops, faults, claims }: ProbeTrial): void {
  console.log(`# ${name}: ${touches.length} touches, ${(seconds / 60).toFixed(1)} min of hands`);
  for (const line of stops.moved.slice(0, 3)) console.log(`# false stop: ${line}`);
  for (const line of stops.otherwise.slice(0, 3)) console.log(`# false stop, insides otherwise: ${line}`);
  for (const line of claims.wrong.slice(0, 3)) console.log(`# does not show: ${line}`);
  for (const { fault, seen, canBeTold } of faults)
    if (canBeTold && !seen) console.log(`# not found: ${fault.harm}: ${fault.family}: ${fault.what}`);
}

function found(trials: readonly ProbeTrial[], harm: 'kill' | 'stop', least: number): Measurement {
  const put = trials.flatMap(({ faults }) => faults).filter(({ fault }) => fault.harm === harm);
  const told = put.filter(({ canBeTold }) => canBeTold);
  const percent = (100 * told.filter(({ seen }) => seen).length) / told.length;
  return {
    what: `faults that ${harm} found by the list, of ${told.length} that a touch can tell (${put.length} put in):`,
    value: percent.toFixed(1),
    unit: '%',
    bar: `>=${least}`,
    met: percent >= least,
  };
}
