/**
 * The list of touches of one build for one meter, followed by a technician to its end: on good aircraft whose values
 * move, on good ones with other insides than their models, and on ones with a fault put in by hand. Injector and meter
 * share nothing with what is judged.
 */
import type { Build, ListedTouch, Meter, Solve, TouchList } from '@junctor/core';
import { assemble, compile, expectIn, judgeReading, probeList } from '@junctor/core';
import type { Injected } from '../oracles/injector/aircraft';
import { inject } from '../oracles/injector/inject';
import { tellable } from '../oracles/injector/tellable';
import { TrueMeter } from '../oracles/trueMeter';
import { spreadBy, unshownBy, wide } from '../generators/otherInsides';
import { catalogue } from './ruleTrial';

export interface ProbeCase {
  name: string;
  build: Build;
  meter: Meter;
}

export interface HowMuch {
  /** Good aircraft of each sort. */
  good: number;
  /** Every so many-th fault that stops or kills; 0: none. */
  every: number;
}

export interface ProbeTrial {
  of: ProbeCase;
  list: TouchList;
  /** Of work. */
  listS: number;
  /** Of good aircraft: what stopped them. */
  stops: { moved: readonly string[]; otherwise: readonly string[] };
  faults: readonly { fault: Injected; seen: boolean; canBeTold: boolean }[];
  /** Of metal between two places the list says at which touches it shows: such claims, and those that do not hold. */
  claims: { made: number; wrong: readonly string[] };
}

/** @throws {Error} If there is no list. */
export function probeTrial(of: ProbeCase, { good, every }: HowMuch, solve: Solve): ProbeTrial {
  const { name, build, meter } = of;
  const begun = performance.now();
  const made = probeList(assemble(build, catalogue), { meter, solve });
  const listS = (performance.now() - begun) / 1000;
  if (made.is === 'gave up') throw new Error(`${name}: ${made.why}`);
  const { list } = made;
  const verdictOf = judgeAll(of, list.touches);
  const seeds = Array.from({ length: good }, (_, index) => index + 1);
  const stopsOf = (aircraft: (seed: number) => Partial<ConstructorParameters<typeof TrueMeter>[0]>) =>
    seeds.flatMap((seed) => {
      const stopped = verdictOf(new TrueMeter({ build, catalogue, meter, ...aircraft(seed) }), build);
      return stopped ? [`${name}, ${seed}: ${stopped}`] : [];
    });
  const moved = stopsOf((seed) => ({ spread: spreadBy(seed) }));
  const otherwise = stopsOf((seed) => ({
    unshown: unshownBy(seed, build, catalogue),
    spread: spreadBy(seed, wide),
  }));
  const grave = inject(build, catalogue).filter(({ harm }) => harm !== 'warn');
  const faults = grave
    .filter((_, index) => every > 0 && index % every === 0)
    .map((fault) => {
      const { build: is, bridges, broken } = fault.aircraft;
      const seen = verdictOf(new TrueMeter({ build: is, catalogue, meter, bridges, broken }), is) !== null;
      return { fault, seen, canBeTold: seen || tellable({ build, catalogue, meter }, fault.aircraft) };
    });
  return { of, list, listS, stops: { moved, otherwise }, faults, claims: claimsOf(of, list) };
}

/** Tried with the metal there, on an aircraft that is as printed for the rest. */
function claimsOf({ name, build, meter }: ProbeCase, { touches, faults }: TouchList): ProbeTrial['claims'] {
  const circuit = compile(assemble(build, catalogue));
  const tried = faults.flatMap(({ kind, site }, place) => {
    if (!('between' in site) || kind === 'partial short of a supply') return [];
    const [a, b] = site.between;
    const truth = new TrueMeter({ build, catalogue, meter, bridges: [{ a, b, ohms: metalOhms }] });
    return touches
      .filter(({ shows }) => shows.includes(place))
      .map(({ touch }) => {
        const heard = { ...proven, ...truth.answer(touch) };
        const holds = judgeReading(expectIn(circuit, touch, { meter }), heard) === 'stop';
        return { holds, words: `${name}: ${kind} ${a} ${b} at ${touch.mode} ${touch.black} ${touch.red}` };
      });
  });
  return { made: tried.length, wrong: tried.flatMap(({ holds, words }) => (holds ? [] : [words])) };
}

/** Of a bridge of solder. */
const metalOhms = 0.05;
/** Read off the meter itself, with contact proved. */
const proven = { heldMs: null, by: 'meter', wrong: 0, anchors: { black: 'tone', red: 'tone' } } as const;

/** Follows the list on an aircraft: the first touch whose verdict is stop, or null. */
function judgeAll(
  { build, meter }: ProbeCase,
  list: readonly ListedTouch[],
): (truth: TrueMeter, is: Build) => string | null {
  const circuit = compile(assemble(build, catalogue));
  const expected = list.map(({ touch }) => expectIn(circuit, touch, { meter }));
  return (truth, is) => {
    const found = list.find(({ touch: { black, red, mode } }, index) => {
      // A part that is not there is seen with the eyes.
      if ([black, red].some((ref) => !is.slots[ref.split('.')[0]!])) return true;
      return judgeReading(expected[index]!, { ...proven, ...truth.answer({ black, red, mode }) }) === 'stop';
    });
    return found ? `${found.touch.mode} ${found.touch.black} ${found.touch.red}` : null;
  };
}
