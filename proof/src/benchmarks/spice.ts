/**
 * Touches of whole builds, good and with something wrong, against decks run by ngspice that are written from the build
 * by hand.
 */
import type { Build, Catalogue, Circuit, Defect, Meter, Site, TerminalRef, TouchList } from '@junctor/core';
import {
  assemble,
  circuitWith,
  compile,
  defectsOf,
  makeCatalogue,
  reduceToPort,
  sourceOf,
  touchResponse,
} from '@junctor/core';
import { basisOf, shippedList, shippedMeters, shippedModels, shippedTemplates } from '@junctor/catalogue';
import { random } from '../generators/generate';
import type { Broken } from '../oracles/insides';
import { spiceTouch } from '../oracles/spiceTouch';
import type { Bridge } from '../oracles/trueMeter';
import type { Measurement } from './measurement';
import { atMost } from './measurement';

const cards: readonly Meter[] = shippedMeters.map((card, index) => ({ id: `m${index}`, ...card }));
const modes = ['tone', 'ohms', 'diode'] as const;
type Mode = (typeof modes)[number];

/** So many good, and as many with a fault. */
const decks = 126;
const metalOhms = 0.05;

/** What is wrong, as the core edits its circuit and as a deck says it. */
interface Wrong {
  defect: Defect;
  bridges: readonly Bridge[];
  broken: readonly Broken[];
}

interface Asked {
  black: TerminalRef;
  red: TerminalRef;
  mode: Mode;
  card: Meter;
  wrong: Wrong | null;
}

interface Aircraft {
  build: Build;
  catalogue: Catalogue;
  /** Faults that both can say, with the touches of the list that show them. */
  faults: readonly { wrong: Wrong; touches: TouchList['touches'] }[];
}

export function againstSpice(): Measurement[] {
  const chance = random(11);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)]!;
  const all = shippedTemplates().map(({ plan }) => aircraftOf(plan.target));
  return [...compared('good', decks), ...compared('faulty', decks)];

  function compared(which: 'good' | 'faulty', count: number): Measurement[] {
    const errors: Record<Mode, number[]> = { tone: [], ohms: [], diode: [] };
    for (let index = 0; index < count; index++) {
      const aircraft = pick(all);
      const mode = modes[index % modes.length]!;
      const asked = { mode, card: pick(cards), ...(which === 'good' ? anywhere(aircraft) : wrongIn(aircraft)) };
      const error = mode === 'tone' ? toneError(aircraft, asked) : settledError(aircraft, asked);
      if (error !== null) errors[mode].push(error);
    }
    const most = (list: readonly number[]) => Math.max(0, ...list);
    const of = ({ length }: readonly number[]) => `most off of ${length} decks of ${which} builds:`;
    const { tone, ohms, diode } = errors;
    return [
      atMost(`ohms, ${of(ohms)}`, { value: most(ohms), unit: '%', bar: 1, digits: 3 }),
      atMost(`diode volts, ${of(diode)}`, { value: most(diode), unit: 'mV', bar: 20, digits: 2 }),
      atMost(`tones, ${of(tone)}`, { value: most(tone), unit: '%', bar: 5, digits: 2 }),
    ];
  }

  function anywhere({ build, catalogue }: Aircraft) {
    const terminals = terminalsOf(build, catalogue);
    return { black: pick(terminals), red: pick(terminals), wrong: null };
  }

  function wrongIn({ faults }: Aircraft) {
    const { wrong, touches } = pick(faults);
    const { black, red } = pick(touches).touch;
    return { black, red, wrong };
  }
}

function aircraftOf(build: Build): Aircraft {
  const catalogue = makeCatalogue(shippedModels());
  const list = shippedList(basisOf(build, cards[0]!))!;
  const defects = new Map(defectsOf(assemble(build, catalogue)).map((defect) => [nameOf(defect), defect]));
  const faults = list.faults.flatMap((fault, place) => {
    const touches = list.touches.filter(({ shows }) => shows.includes(place));
    const wrong = wrongOf(fault, defects.get(nameOf(fault))!);
    return wrong && touches.length > 0 ? [{ wrong, touches }] : [];
  });
  return { build, catalogue, faults };
}

function nameOf({ kind, site }: { kind: string; site: Site }): string {
  return `${kind} ${JSON.stringify(site)}`;
}

const failsAs: Readonly<Record<string, Broken['is']>> = {
  'open inside': 'open',
  'short inside': 'short',
  'leak inside': 'leaky',
};

/** Null where a deck of the build alone cannot say it. */
function wrongOf({ kind, site }: { kind: string; site: Site }, defect: Defect): Wrong | null {
  if ('between' in site && kind !== 'partial short of a supply') {
    const [a, b] = site.between;
    return { defect, bridges: [{ a, b, ohms: metalOhms }], broken: [] };
  }
  const is = failsAs[kind];
  if (!is || !('slot' in site) || site.element === undefined) return null;
  return { defect, bridges: [], broken: [{ slot: site.slot, element: site.element, is }] };
}

function terminalsOf(build: Build, catalogue: Catalogue): TerminalRef[] {
  return Object.entries(build.slots).flatMap(([slot, fitted]) =>
    catalogue
      .model(fitted)
      .terminals.filter(({ touch }) => touch !== 'no')
      .map(({ id }): TerminalRef => `${slot}.${id}`),
  );
}

function mineOf({ build, catalogue }: Aircraft, { black, red, card, mode, wrong }: Asked, watchS: number) {
  const assembly = assemble(build, catalogue);
  const circuit: Circuit = wrong ? circuitWith(assembly, wrong.defect) : compile(assembly);
  const port = reduceToPort(circuit, { blackNode: circuit.at[black]!, redNode: circuit.at[red]! }, 0.5, false);
  return touchResponse(port, card, {}, { heldS: 0, watchS, mode });
}

/** Ohms in percent, diode volts in millivolts. */
function settledError(aircraft: Aircraft, asked: Asked): number {
  const source = sourceOf(asked.card, asked.mode);
  const mineV = mineOf(aircraft, asked, 0).settledV;
  const theirsV = spiceTouch(aircraft.build, aircraft.catalogue, { ...asked, ...asked.wrong, source })!;
  if (asked.mode === 'diode') return 1000 * Math.abs(mineV - theirsV);
  const ohms = (volts: number) =>
    source.seriesOhms === null ? volts / source.limitA : (volts * source.seriesOhms) / (source.limitV - volts);
  // What hardly differs from open, or is a wire's length, is no reading in ohms.
  if (theirsV > 0.95 * source.limitV || ohms(theirsV) < 1) return 0;
  return (100 * Math.abs(ohms(mineV) - ohms(theirsV))) / ohms(theirsV);
}

/** Percent of the tone's length; a tone too short to be heard, or lasting, must be so in both. */
function toneError(aircraft: Aircraft, asked: Asked): number | null {
  const { card } = asked;
  const [shortestS, runS] = [0.005, 4];
  const mine = mineOf(aircraft, asked, runS).toneS;
  const heard = (endS: number) =>
    spiceTouch(aircraft.build, aircraft.catalogue, {
      ...asked,
      ...asked.wrong,
      source: card,
      tone: { stopsAboveOhms: card.stopsAboveOhms, runS: endS },
    });
  const first = heard(runS);
  // A deck steps evenly: what ends soon is looked at more closely.
  const theirs = first !== null && first < runS / 50 ? heard(runS / 20) : first;
  if (mine < shortestS || mine > runS) return (theirs ?? Infinity) < shortestS || (theirs ?? Infinity) > runS ? 0 : 100;
  return theirs === null ? 100 : (100 * Math.abs(mine - theirs)) / theirs;
}
