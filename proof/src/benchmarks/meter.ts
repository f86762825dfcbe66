/** Every meter card answers on every pair of every part model; touches of whole builds against decks run by ngspice. */
import type { Build, Catalogue, Meter, PartModel, TerminalRef, Touch } from '@junctor/core';
import {
  assemble,
  compile,
  emptyBuild,
  expectIn,
  makeCatalogue,
  reduceToPort,
  sourceOf,
  touchResponse,
} from '@junctor/core';
import { shippedMeters, shippedModels, shippedTemplates } from '@junctor/catalogue';
import { random } from '../generators/generate';
import { hasNgspice } from '@junctor/core/testing/ngspice';
import { spiceTouch } from '../oracles/spiceTouch';
import type { Measurement } from './measurement';
import { atMost, none } from './measurement';

const cards: readonly Meter[] = shippedMeters.map((card, index) => ({ id: `m${index}`, ...card }));
const modes = ['tone', 'ohms', 'diode'] as const;

export async function meter(long: boolean): Promise<Measurement[]> {
  if (!hasNgspice()) throw new Error('ngspice is not installed: nothing to compare with');
  return [...pairs(long ? 1 : 12), ...againstSpice()];
}

/** One terminal of each conductor: a pair of those is a pair of all. @param every So many-th pair is asked. */
function pairs(every: number): Measurement[] {
  let asked = 0;
  const unanswered: string[] = [];
  for (const model of shippedModels()) {
    const build: Build = {
      ...emptyBuild,
      slots: { PART: { model: model.id, revision: model.revision, part: null, pose: null } },
    };
    const circuit = compile(assemble(build, makeCatalogue([model])));
    for (const [black, red] of pairsOf(model).filter((_, index) => index % every === 0))
      for (const card of cards)
        for (const mode of modes) {
          asked += 1;
          const touch: Touch = { black, red, mode, power: 'off' };
          const problem = problemOf(() => expectIn(circuit, touch, { meter: card, heldS: 2 }), mode);
          if (problem) unanswered.push(`${model.id} ${black} ${red} ${mode} ${card.name}: ${problem}`);
        }
  }
  for (const one of unanswered.slice(0, 5)) console.log(`# ${one}`);
  return [
    none(
      `touches without an answer, of ${asked} on ${every === 1 ? 'every pair' : `one pair in ${every}`} of every part model by three cards:`,
      unanswered.length,
    ),
  ];
}

function problemOf(ask: () => ReturnType<typeof expectIn>, mode: (typeof modes)[number]): string | null {
  try {
    const { passes, band } = ask();
    if (mode === 'tone') return passes.length > 0 ? null : 'no length';
    return band && band.every(Number.isFinite) && band[0] <= band[1] ? null : `a band of ${JSON.stringify(band)}`;
  } catch (error) {
    return (error as Error).message;
  }
}

function pairsOf({ terminals }: PartModel): [TerminalRef, TerminalRef][] {
  const first = terminals.filter(({ node }, index) => terminals.findIndex((other) => other.node === node) === index);
  return first.flatMap((a) =>
    first.flatMap((b): [TerminalRef, TerminalRef][] => (a === b ? [] : [[`PART.${a.id}`, `PART.${b.id}`]])),
  );
}

interface Asked {
  black: TerminalRef;
  red: TerminalRef;
  mode: (typeof modes)[number];
  card: Meter;
}

const touchesOfAll = 204;

function againstSpice(): Measurement[] {
  const chance = random(11);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)]!;
  const catalogue = makeCatalogue(shippedModels());
  const builds = shippedTemplates().map(({ plan }) => plan.target);
  const errors: Record<(typeof modes)[number], number[]> = { tone: [], ohms: [], diode: [] };
  for (let count = 0; count < touchesOfAll; count++) {
    const build = pick(builds);
    const mode = modes[count % 3]!;
    const terminals = terminalsOf(build, catalogue);
    const asked: Asked = { mode, card: pick(cards), black: pick(terminals), red: pick(terminals) };
    const error = mode === 'tone' ? toneError(build, catalogue, asked) : settledError(build, catalogue, asked);
    if (error !== null) errors[mode].push(error);
  }
  const most = (list: readonly number[]) => Math.max(0, ...list);
  const { tone, ohms, diode } = errors;
  return [
    atMost(`ohms, most off of ${ohms.length} decks:`, { value: most(ohms), unit: '%', bar: 1, digits: 3 }),
    atMost(`diode volts, most off of ${diode.length} decks:`, { value: most(diode), unit: 'mV', bar: 20, digits: 2 }),
    atMost(`tones, most off of ${tone.length} decks:`, { value: most(tone), unit: '%', bar: 5, digits: 2 }),
  ];
}

function terminalsOf(build: Build, catalogue: Catalogue): TerminalRef[] {
  return Object.entries(build.slots).flatMap(([slot, fitted]) =>
    catalogue
      .model(fitted)
      .terminals.filter(({ touch }) => touch !== 'no')
      .map(({ id }): TerminalRef => `${slot}.${id}`),
  );
}

function mineOf(build: Build, catalogue: Catalogue, { black, red, card, mode }: Asked, watchS: number) {
  const circuit = compile(assemble(build, catalogue));
  const port = reduceToPort(circuit, { blackNode: circuit.at[black]!, redNode: circuit.at[red]! }, 0.5, false);
  return touchResponse(port, card, {}, { heldS: 0, watchS, mode });
}

/** Ohms in percent, diode volts in millivolts. */
function settledError(build: Build, catalogue: Catalogue, asked: Asked): number {
  const source = sourceOf(asked.card, asked.mode);
  const mineV = mineOf(build, catalogue, asked, 0).settledV;
  const theirsV = spiceTouch(build, catalogue, { ...asked, source })!;
  if (asked.mode === 'diode') return 1000 * Math.abs(mineV - theirsV);
  const ohms = (volts: number) =>
    source.seriesOhms === null ? volts / source.limitA : (volts * source.seriesOhms) / (source.limitV - volts);
  // What hardly differs from open, or is a wire's length, is no reading in ohms.
  if (theirsV > 0.95 * source.limitV || ohms(theirsV) < 1) return 0;
  return (100 * Math.abs(ohms(mineV) - ohms(theirsV))) / ohms(theirsV);
}

/** Percent of the tone's length; a tone too short to be heard, or lasting, must be so in both. */
function toneError(build: Build, catalogue: Catalogue, asked: Asked): number | null {
  const { card } = asked;
  const [shortestS, runS] = [0.005, 4];
  const mine = mineOf(build, catalogue, asked, runS).toneS;
  const theirs = spiceTouch(build, catalogue, {
    ...asked,
    source: card,
    tone: { stopsAboveOhms: card.stopsAboveOhms, runS },
  });
  if (mine < shortestS || mine > runS) return (theirs ?? Infinity) < shortestS || (theirs ?? Infinity) > runS ? 0 : 100;
  return theirs === null ? 100 : (100 * Math.abs(mine - theirs)) / theirs;
}
