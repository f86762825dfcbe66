/**
 * The list of touches of one build for one meter, followed by a technician to its end: on good aircraft whose values
 * move, on good ones with other insides than their models, and on ones with a fault put in by hand. Injector and meter
 * share nothing with what is judged.
 */
import type { Build, Expectation, ListedTouch, Meter, Solve, TouchList } from '@junctor/core';
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
  /** Of good aircraft: what stopped them. */
  stops: { moved: readonly string[]; otherwise: readonly string[] };
  faults: readonly { fault: Injected; seen: boolean; canBeTold: boolean }[];
  /** Of metal between two places the list says at which touches it shows: such claims, and those that do not hold. */
  claims: { made: number; wrong: readonly string[] };
}

/** @throws {Error} If there is no list. */
export function probeTrial(of: ProbeCase, { good, every }: HowMuch, solve: Solve): ProbeTrial {
  const { name, build, meter } = of;
  const made = probeList(assemble(build, catalogue), { meter, solve });
  if (made.is === 'gave up') throw new Error(`${name}: ${made.why}`);
  const { list } = made;
  const judged = judgedIn(of, list);
  const seeds = Array.from({ length: good }, (_, index) => index + 1);
  const grave = inject(build, catalogue).filter(({ harm }) => harm !== 'warn');
  const faults = grave
    .filter((_, index) => every > 0 && index % every === 0)
    .map((fault) => {
      const { build: is, bridges, broken } = fault.aircraft;
      const seen = stoppedBy(judged, new TrueMeter({ build: is, catalogue, meter, bridges, broken }), is) !== null;
      return { fault, seen, canBeTold: seen || tellable({ build, catalogue, meter }, fault.aircraft) };
    });
  return { of, list, stops: stopsOfGood(of, judged, seeds), faults, claims: claimsOf(of, judged, list.faults) };
}

interface Judged extends ListedTouch {
  /** What a good aircraft shows. */
  expected: Expectation;
}

/** The touches of a list, each with what a good aircraft shows there. */
export function judgedIn({ build, meter }: ProbeCase, { touches }: Pick<TouchList, 'touches'>): readonly Judged[] {
  const circuit = compile(assemble(build, catalogue));
  return touches.map((listed) => ({ ...listed, expected: expectIn(circuit, listed.touch, { meter }) }));
}

/** What stopped good aircraft: with values moved by their spread, and with other insides than their models. */
export function stopsOfGood(
  { name, build, meter }: ProbeCase,
  judged: readonly Judged[],
  seeds: readonly number[],
): ProbeTrial['stops'] {
  const stopsOf = (aircraft: (seed: number) => Partial<ConstructorParameters<typeof TrueMeter>[0]>) =>
    seeds.flatMap((seed) => {
      const stopped = stoppedBy(judged, new TrueMeter({ build, catalogue, meter, ...aircraft(seed) }), build);
      return stopped ? [`${name}, ${seed}: ${stopped}`] : [];
    });
  return {
    moved: stopsOf((seed) => ({ spread: spreadBy(seed) })),
    otherwise: stopsOf((seed) => ({
      unshown: unshownBy(seed, build, catalogue),
      spread: spreadBy(seed, wide),
    })),
  };
}

/** Tried with the metal there, on an aircraft that is as printed for the rest. */
function claimsOf(
  { name, build, meter }: ProbeCase,
  judged: readonly Judged[],
  faults: TouchList['faults'],
): ProbeTrial['claims'] {
  const tried = faults.flatMap(({ kind, site }, place) => {
    if (!('between' in site) || kind === 'partial short of a supply') return [];
    const [a, b] = site.between;
    const truth = new TrueMeter({ build, catalogue, meter, bridges: [{ a, b, ohms: metalOhms }] });
    return judged
      .filter(({ shows }) => shows.includes(place))
      .map((one) => ({ holds: isStop(one, truth), words: `${name}: ${kind} ${a} ${b} at ${touchWords(one)}` }));
  });
  return { made: tried.length, wrong: tried.flatMap(({ holds, words }) => (holds ? [] : [words])) };
}

/** Of a bridge of solder. */
const metalOhms = 0.05;
/** Read off the meter itself, with contact proved. */
const proven = { heldMs: null, by: 'meter', wrong: 0, anchors: { black: 'tone', red: 'tone' } } as const;

function isStop({ touch, expected }: Judged, truth: TrueMeter): boolean {
  return judgeReading(expected, { ...proven, ...truth.answer(touch) }) === 'stop';
}

/** Follows the list on an aircraft: the first touch whose verdict is stop, or null. */
export function stoppedBy(judged: readonly Judged[], truth: TrueMeter, is: Build): string | null {
  const found = judged.find((one) => {
    // A part that is not there is seen with the eyes.
    const isGone = [one.touch.black, one.touch.red].some((ref) => !is.slots[ref.split('.')[0]!]);
    return isGone || isStop(one, truth);
  });
  return found ? touchWords(found) : null;
}

function touchWords({ touch: { mode, black, red } }: Judged): string {
  return `${mode} ${black} ${red}`;
}
