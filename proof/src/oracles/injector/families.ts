/** The ways in which an aircraft goes wrong at a bench, one entry each. */
import type { TerminalRef, WireEnd } from '@junctor/core';
import type { Broken } from '../insides';
import type { Aircraft, Good, Place, PlacedEnd } from './aircraft';
import { gapMm, inAir, words } from './aircraft';
import { purposesOf } from './harm';

interface Family {
  says: string;
  make: (good: Good) => { what: string; aircraft: Aircraft }[];
}

/** Solder bridges over so much, strands and drops over so much. */
const [bridgeMm, strandMm] = [2, 5];
const partialOhms = 20;

export const families: readonly Family[] = [
  {
    says: 'joint open',
    make: (good) =>
      good.ends
        .filter(({ end }) => end.at.on === 'terminal')
        .map((placed) => ({ what: words(placed), aircraft: good.moved([placed, inAir]) })),
  },
  {
    says: 'contact pushed back',
    make: (good) =>
      Object.values(good.build.wires).flatMap((wire) =>
        ([0, 1] as const).flatMap((index) => {
          const placed: PlacedEnd = { wire, index, end: wire.ends[index] };
          return placed.end.at.on === 'cavity' ? [{ what: words(placed), aircraft: good.moved([placed, inAir]) }] : [];
        }),
      ),
  },
  {
    says: 'two wires exchanged',
    make: (good) =>
      pairsOf(good.ends).flatMap(([one, other]) =>
        one.wire !== other.wire && near(good, one, other)
          ? [{ what: `${words(one)} and ${words(other)}`, aircraft: good.moved([one, other.end], [other, one.end]) }]
          : [],
      ),
  },
  {
    says: 'wire on the pad beside',
    make: (good) =>
      good.ends.flatMap((placed) =>
        besides(good, placed, bridgeMm).map(({ ref }) => ({
          what: `${words(placed)}, on ${ref}`,
          aircraft: good.moved([placed, { ...placed.end, at: { on: 'terminal', ref } }]),
        })),
      ),
  },
  { says: 'plug turned', make: (good) => plugs(good, (mate) => ({ ...mate, mirrored: !mate.mirrored })) },
  {
    says: 'plug one position off',
    make: (good) => [1, -1].flatMap((shift) => plugs(good, (mate) => ({ ...mate, shift: mate.shift + shift }))),
  },
  { says: 'plug not home', make: (good) => plugs(good, () => null) },
  {
    says: 'solder bridge',
    make: (good) =>
      onOneBoard(good, bridgeMm)
        .filter(([a, b]) => [a, b].every(({ terminal }) => terminal.form !== 'pin' && terminal.form !== 'tail'))
        .map(([a, b]) => touching(good, a, b)),
  },
  {
    says: 'pins of a socket bridged',
    make: (good) =>
      Object.entries(good.build.slots).flatMap(([slot, fitted]) =>
        good.catalogue.model(fitted).connectors.flatMap(({ pins }) =>
          pins.slice(1).map((pin, index) => {
            const [a, b]: [TerminalRef, TerminalRef] = [`${slot}.${pins[index]!}`, `${slot}.${pin}`];
            return { what: `${a} and ${b}`, aircraft: good.touching(a, b) };
          }),
        ),
      ),
  },
  {
    says: 'battery on a signal pad',
    make: (good) => {
      const purposes = purposesOf(good);
      const is = ({ ref }: Place, what: string) => purposes.get(good.copper(ref))!.is === what;
      return onOneBoard(good, strandMm)
        .filter(([a, b]) => (is(a, 'battery') && is(b, 'signal')) || (is(a, 'signal') && is(b, 'battery')))
        .map(([a, b]) => touching(good, a, b));
    },
  },
  {
    says: 'partial short of a supply',
    make: (good) => {
      const purposes = purposesOf(good);
      const of = (slot: string, ...what: string[]) =>
        good
          .of(slot)
          .filter(({ ref, terminal }) => terminal.form !== 'tail' && what.includes(purposes.get(good.copper(ref))!.is));
      return Object.keys(good.build.slots).flatMap((slot) => {
        const [ground] = of(slot, 'ground');
        const seen = new Set<string>();
        return of(slot, 'battery', 'rail').flatMap((supply) => {
          if (!ground || seen.has(good.copper(supply.ref))) return [];
          seen.add(good.copper(supply.ref));
          return [touching(good, supply, ground, partialOhms)];
        });
      });
    },
  },
  {
    says: 'capacitor reversed',
    make: (good) =>
      capacitors(good).flatMap(([plus, minus]) =>
        plus && minus
          ? [{ what: `${words(plus)} and ${words(minus)}`, aircraft: good.moved([plus, minus.end], [minus, plus.end]) }]
          : [],
      ),
  },
  {
    says: 'part left out',
    make: (good) =>
      Object.keys(good.build.slots).flatMap((slot) => {
        const kind = good.catalogue.model(good.build.slots[slot]!).kind;
        return ['frame', 'propeller', 'pack', 'battery lead'].includes(kind)
          ? []
          : [{ what: slot, aircraft: without(good, slot) }];
      }),
  },
  {
    says: 'screw in a winding',
    make: (good) =>
      Object.keys(good.build.slots).flatMap((slot) => {
        const own = good.of(slot);
        const [metal] = own.filter(({ terminal }) => terminal.roles.some(({ is }) => is === 'metal'));
        return own
          .filter(({ terminal, model }) => model.kind === 'motor' && terminal.roles.some((role) => role.is === 'port'))
          .flatMap((phase) => (metal ? [touching(good, phase, metal)] : []));
      }),
  },
  {
    says: 'insulation chafed through on the frame',
    make: (good) => {
      const metal = good.places.find(
        ({ model, terminal }) => model.kind === 'frame' && terminal.roles.some(({ is }) => is === 'metal'),
      );
      return good.ends.flatMap(({ end }) => {
        const place = end.at.on === 'terminal' ? good.at.get(end.at.ref) : undefined;
        return metal && place ? [touching(good, place, metal)] : [];
      });
    },
  },
  {
    says: 'centre of an aerial on its shield',
    make: (good) =>
      good.places
        .filter(({ model, terminal }) =>
          terminal.roles.some(
            (role) => role.is === 'port' && model.ports.find(({ id }) => id === role.port)?.kind === 'aerial',
          ),
        )
        .flatMap((centre) => {
          const shield = good.of(centre.slot).find(({ terminal }) => terminal.roles.some(({ is }) => is === 'ground'));
          return shield ? [touching(good, centre, shield)] : [];
        }),
  },
];

/** Insides that fail: each element in each way of which its model says that it fails so. */
export function brokenInsides(good: Good): Broken[] {
  return Object.entries(good.build.slots).flatMap(([slot, fitted]) =>
    good.catalogue
      .model(fitted)
      .elements.flatMap(({ id, fails }) => fails.map((is): Broken => ({ slot, element: id, is }))),
  );
}

function pairsOf<T>(list: readonly T[]): [T, T][] {
  return list.flatMap((one, index) => list.slice(index + 1).map((other): [T, T] => [one, other]));
}

/** Two ends that a hand may take for one another: in one housing, or close by on one board. */
function near(good: Good, { end: a }: PlacedEnd, { end: b }: PlacedEnd): boolean {
  if (a.at.on === 'cavity' && b.at.on === 'cavity') return a.at.housing === b.at.housing;
  if (a.at.on !== 'terminal' || b.at.on !== 'terminal') return false;
  const [one, other] = [good.at.get(a.at.ref)!, good.at.get(b.at.ref)!];
  const gap = one.slot === other.slot && one.ref !== other.ref ? gapMm(one.terminal, other.terminal) : null;
  return gap !== null && gap <= strandMm;
}

function besides(good: Good, { end }: PlacedEnd, mostMm: number): readonly Place[] {
  const own = end.at.on === 'terminal' ? good.at.get(end.at.ref) : undefined;
  if (!own) return [];
  return good.of(own.slot).filter(({ terminal, ref }) => {
    const gap = gapMm(own.terminal, terminal);
    return ref !== own.ref && terminal.holds > 0 && terminal.form !== 'pin' && gap !== null && gap <= mostMm;
  });
}

function onOneBoard(good: Good, mostMm: number): [Place, Place][] {
  return Object.keys(good.build.slots).flatMap((slot) =>
    pairsOf(good.of(slot)).filter(([a, b]) => {
      const gap = a.terminal.node === b.terminal.node ? null : gapMm(a.terminal, b.terminal);
      return gap !== null && gap <= mostMm;
    }),
  );
}

function touching(good: Good, a: Place, b: Place, ohms?: number): { what: string; aircraft: Aircraft } {
  return { what: `${a.ref} and ${b.ref}`, aircraft: good.touching(a.ref, b.ref, ohms) };
}

type Mate = Good['build']['mates'][string];

function plugs(good: Good, become: (mate: Mate) => Mate | null): { what: string; aircraft: Aircraft }[] {
  return Object.entries(good.build.mates).map(([id, mate]) => {
    const { [id]: _own, ...others } = good.build.mates;
    const now = become(mate);
    return { what: `plug ${id}`, aircraft: good.with({ mates: now ? { ...others, [id]: now } : others }) };
  });
}

/** The two ends by which each capacitor is in the wiring, plus first. */
function capacitors(good: Good): [PlacedEnd | undefined, PlacedEnd | undefined][] {
  return Object.entries(good.build.slots)
    .filter(([, fitted]) => good.catalogue.model(fitted).kind === 'capacitor')
    .map(([slot]) => {
      const legs = good.ends.filter(({ wire }) => wire.tailOf?.startsWith(`${slot}.`));
      return [legs[0], legs[1]];
    });
}

/** Its wires hang in the air, its plugs on nothing. */
function without(good: Good, gone: string): Aircraft {
  const { [gone]: _own, ...slots } = good.build.slots;
  const onIt = ({ at }: WireEnd) => at.on === 'terminal' && at.ref.startsWith(`${gone}.`);
  const wires = Object.entries(good.build.wires)
    .filter(([, { tailOf }]) => !tailOf?.startsWith(`${gone}.`))
    .map(([id, wire]) => [
      id,
      { ...wire, ends: wire.ends.map((end) => (onIt(end) ? inAir : end)) as [WireEnd, WireEnd] },
    ]);
  const isOf = (side: Mate['a']) => 'slot' in side && side.slot === gone;
  const mates = Object.entries(good.build.mates).filter(([, { a, b }]) => !isOf(a) && !isOf(b));
  return good.with({ slots, wires: Object.fromEntries(wires), mates: Object.fromEntries(mates) });
}
