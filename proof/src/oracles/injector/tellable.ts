/**
 * Whether some touch tells a fault from every good aircraft: black and red on each two places that a probe can reach,
 * by diode volts both ways.
 */
import type { Build, Catalogue, Meter, MeterSource, TerminalRef } from '@junctor/core';
import { TrueMeter } from '../trueMeter';
import type { Aircraft } from './aircraft';
import { Good } from './aircraft';

interface Given {
  build: Build;
  catalogue: Catalogue;
  meter: Meter;
}

/** Values at their ends, and as printed. */
const corners = [-1, 0, 1] as const;
const [ohmsShare, junctionV] = [0.3, 0.06];
/** A person tells readings apart that differ by so much beyond what good ones spread over. */
const seenV = 0.04;

interface Known {
  refs: readonly TerminalRef[];
  band: (black: TerminalRef, red: TerminalRef) => readonly [number, number];
}

const knownOf = new WeakMap<Build, Known>();

export function tellable(given: Given, { build, bridges, broken }: Aircraft): boolean {
  const known = knownOf.get(given.build) ?? knownFrom(given);
  knownOf.set(given.build, known);
  const truth = new TrueMeter({ ...given, build, bridges, broken });
  const source = sourceOf(given.meter);
  const most = source.countsTo ?? source.limitV - 0.02;
  const there = known.refs.filter((ref) => build.slots[ref.split('.')[0]!]);
  return there.some((black) =>
    there.some((red) => {
      if (black === red) return false;
      const [low, high] = known.band(black, red);
      const volts = Math.min(truth.settledV(black, red, source), most);
      const spread = (high - low) / 2;
      return volts < Math.min(low, most) - spread - seenV || volts > Math.min(high, most) + spread + seenV;
    }),
  );
}

function sourceOf({ modes, ...own }: Meter): MeterSource {
  return modes?.diode ?? own;
}

function knownFrom({ build, catalogue, meter }: Given): Known {
  const good = new Good(build, catalogue);
  const covered = coveredIn(build, catalogue);
  const reachable = good.places.filter(({ terminal, ref }) => terminal.touch !== 'no' && !covered.has(ref));
  const perPiece = reachable.filter(
    ({ ref, slot }, index) =>
      reachable.findIndex((one) => one.slot === slot && good.copper(one.ref) === good.copper(ref)) === index,
  );
  const meters = corners.map(
    (way) =>
      new TrueMeter({
        build,
        catalogue,
        meter,
        spread: { factor: (_id, of) => (of === 'ohms' ? 1 + way * ohmsShare : 1), junctionV: () => way * junctionV },
      }),
  );
  const bands = new Map<string, readonly [number, number]>();
  return {
    refs: perPiece.map(({ ref }) => ref),
    band: (black, red) => {
      const key = `${good.copper(black)} ${good.copper(red)}`;
      const known = bands.get(key);
      if (known) return known;
      const volts = meters.map((one) => one.settledV(black, red, sourceOf(meter)));
      const band = [Math.min(...volts), Math.max(...volts)] as const;
      bands.set(key, band);
      return band;
    },
  };
}

/** Pins under plugs that are in, and what was covered. */
function coveredIn({ mates, hidden, slots }: Build, catalogue: Catalogue): ReadonlySet<string> {
  const under = Object.values(mates).flatMap(({ a, b }) =>
    [a, b].flatMap((side) => {
      if (!('slot' in side)) return [];
      const model = catalogue.model(slots[side.slot]!);
      return (model.connectors.find(({ id }) => id === side.connector)?.pins ?? []).map((pin) => `${side.slot}.${pin}`);
    }),
  );
  return new Set([...under, ...Object.keys(hidden)]);
}
