/**
 * The list of touches against faults that were put in by hand: what a technician who follows it to its end has found.
 * Injector and meter share nothing with what is judged.
 */
import type { Build, Catalogue, ListedTouch, Meter } from '@junctor/core';
import { assemble, expectIn, compile, judgeReading, probeList } from '@junctor/core';
import { shippedMeters, shippedTemplate, shippedTemplates } from '@junctor/catalogue';
import { loadSolver } from '@junctor/solver/node';
import type { Injected } from '../oracles/injector/aircraft';
import { inject } from '../oracles/injector/inject';
import { tellable } from '../oracles/injector/tellable';
import { TrueMeter } from '../oracles/trueMeter';
import { spreadBy, unshownBy, wide } from '../generators/otherInsides';
import { catalogue } from '../trials/ruleTrial';
import type { Measurement } from './measurement';
import { atMost, none } from './measurement';

const meter: Meter = { id: 'meter', ...shippedMeters[0]! };
/** Which builds; of each good aircraft whose values are moved, and every so many-th fault. */
const [short, full] = [
  { builds: [1, 2], moved: 10, every: 8 },
  { builds: [0, 4], moved: 250, every: 1 },
] as const;

/** The quad of the demo shop whose list has a bar of its own. */
const vineyard = 'quad-serial-6s';

export async function probes(long: boolean): Promise<Measurement[]> {
  const solve = await loadSolver();
  const verdicts: { fault: Injected; seen: boolean; canBeTold: boolean }[] = [];
  const [falseStops, structureStops, times]: [string[], string[], number[]] = [[], [], []];
  let good = 0;
  const { builds, moved, every } = long ? full : short;
  const listOf = (id: string, build: Build) => {
    const begun = performance.now();
    const made = probeList(assemble(build, catalogue), { meter, solve });
    times.push((performance.now() - begun) / 1000);
    if (made.is === 'gave up') throw new Error(made.why);
    const { list } = made;
    console.log(`# ${id}: ${list.touches.length} touches, ${(list.seconds / 60).toFixed(1)} min at assumed hand times`);
    return list;
  };
  const ofVineyard = listOf(vineyard, shippedTemplate(vineyard).plan.target);
  for (const { id, plan } of shippedTemplates().slice(...builds)) {
    const build = plan.target;
    const list = id === vineyard ? ofVineyard : listOf(id, build);
    const verdictOf = judgeAll(build, list.touches);
    for (let seed = 1; seed <= moved; seed++) {
      good += 1;
      const stopped = verdictOf(new TrueMeter({ build, catalogue, meter, spread: spreadBy(seed) }), build);
      if (stopped) falseStops.push(`${id} ${seed}: ${stopped}`);
      const unshown = unshownBy(seed, build, catalogue);
      const otherwise = new TrueMeter({ build, catalogue, meter, unshown, spread: spreadBy(seed, wide) });
      const stoppedToo = verdictOf(otherwise, build);
      if (stoppedToo) structureStops.push(`${id} ${seed}: ${stoppedToo}`);
    }
    const grave = inject(build, catalogue).filter(({ harm }) => harm !== 'warn');
    for (const fault of grave.filter((_, index) => index % every === 0)) {
      const seen = verdictOf(trueOf(fault, catalogue), fault.aircraft.build) !== null;
      verdicts.push({ fault, seen, canBeTold: seen || tellable({ build, catalogue, meter }, fault.aircraft) });
    }
  }
  for (const line of falseStops.slice(0, 5)) console.log(`# false stop: ${line}`);
  for (const line of structureStops.slice(0, 12)) console.log(`# false stop, insides otherwise: ${line}`);
  const missed = verdicts.filter(({ seen, canBeTold }) => canBeTold && !seen);
  for (const { fault } of missed.slice(0, 60))
    console.log(`# not found: ${fault.harm}: ${fault.family}: ${fault.what}`);
  const share = (harm: 'kill' | 'stop', least: number): Measurement => {
    const told = verdicts.filter(({ fault, canBeTold }) => fault.harm === harm && canBeTold);
    const all = verdicts.filter(({ fault }) => fault.harm === harm).length;
    const percent = (100 * told.filter(({ seen }) => seen).length) / told.length;
    return {
      what: `faults that ${harm} found by the list, of ${told.length} that a touch can tell (${all} put in):`,
      value: percent.toFixed(1),
      unit: '%',
      bar: `>=${least}`,
      met: percent >= least,
    };
  };
  return [
    share('kill', 98),
    share('stop', 95),
    none(`stops on good aircraft with values moved, of ${good}:`, falseStops.length),
    none(`stops on good aircraft with other insides than their models, of ${good}:`, structureStops.length),
    atMost('list of the vineyard quad', { value: ofVineyard.seconds / 60, unit: 'min', bar: 6, digits: 1 }),
    atMost('slowest list', { value: Math.max(...times), unit: 's', bar: 3, digits: 1 }),
  ];
}

function trueOf({ aircraft: { build, bridges, broken } }: Injected, from: Catalogue): TrueMeter {
  return new TrueMeter({ build, catalogue: from, meter, bridges, broken });
}

/** Read off the meter itself, with contact proved. */
const proven = { heldMs: null, by: 'meter', wrong: 0, anchors: { black: 'tone', red: 'tone' } } as const;

/** Follows the list on an aircraft: the first touch whose verdict is stop, or null. */
function judgeAll(good: Build, list: readonly ListedTouch[]): (truth: TrueMeter, is: Build) => string | null {
  const circuit = compile(assemble(good, catalogue));
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
