/** Requests that cannot be met, made so by construction: one thing is asked of good parts that they cannot give. */
import type { Build, Catalogue, PartModel, Pinned, Wish } from '@junctor/core';
import { assemble, emptyBuild, makeCatalogue, wishesFor } from '@junctor/core';
import type { Generated } from './generate';

interface Impossible {
  name: string;
  slots: Build['slots'];
  cells: readonly [number, number];
  wishes: readonly Wish[];
  pinned: readonly Pinned[];
  catalogue: Catalogue;
}

type Made = Omit<Impossible, 'name' | 'wishes' | 'catalogue' | 'pinned'> & {
  catalogue?: Catalogue;
  pinned?: readonly Pinned[];
  must?: boolean;
};
type Maker = (good: Generated, catalogue: Catalogue, seed: number) => Made | null;

const fitted = (model: string) => ({ model, revision: 1, part: null, pose: null });
const named = (good: Generated, stem: RegExp) => Object.keys(good.slots).filter((slot) => stem.test(slot));
const modelAt = (good: Generated, catalogue: Catalogue, slot: string) => catalogue.model(good.slots[slot]!);

/** The same parts with so many more of one. */
function more(good: Generated, stem: string, model: string, count: number): Build['slots'] {
  const from = named(good, new RegExp(`^${stem}\\d*$`)).length + 1;
  const added = Array.from({ length: count }, (_, index) => [`${stem}${from + index}`, fitted(model)] as const);
  return { ...good.slots, ...Object.fromEntries(added) };
}

/** More strips than all regulators here could feed together. */
function stripsBeyond(good: Generated, catalogue: Catalogue): number {
  const { elements } = catalogue.model(fitted('teasel-light-8'));
  const eachA = elements.reduce((amps, one) => amps + (one.is === 'load' ? one.typicalA : 0), 0);
  const givenA = Object.keys(good.slots)
    .flatMap((slot) => modelAt(good, catalogue, slot).elements)
    .reduce((amps, one) => amps + (one.is === 'regulator' && one.outV < 6 ? one.limitA : 0), 0);
  return Math.ceil(givenA / eachA) + 1;
}

/** A model of its own beside the shipped ones. */
function beside(catalogue: Catalogue, model: PartModel): Catalogue {
  return makeCatalogue([...catalogue.models, model]);
}

const makers: Readonly<Record<string, Maker>> = {
  'more motors than channels': (good, _catalogue, seed) => ({
    slots: more(good, 'M', good.slots.M1!.model, 1 + (seed % 3)),
    cells: good.cells,
  }),
  'more channels than outputs': (good) => {
    const motors = named(good, /^M\d/).length;
    if (motors < 5) return null;
    return { slots: { ...good.slots, FC: fitted('turnstone-fc-36') }, cells: good.cells };
  },
  'more receivers than ports': (good, _catalogue, seed) => ({
    slots: more(good, 'RX', good.slots.RX!.model, 7 + (seed % 2)),
    cells: good.cells,
    must: true,
  }),
  'more positioning units than ports': (good) =>
    good.slots.GPS ? { slots: more(good, 'GPS', good.slots.GPS.model, 9), cells: good.cells, must: true } : null,
  'more cells than anything bears': (good) => ({ slots: good.slots, cells: [13, 13] }),
  'fewer cells than the ESCs take': (good) => (good.cells[1] > 1 ? { slots: good.slots, cells: [1, 1] } : null),
  'more amperes than the rails give': (good, catalogue) => ({
    slots: more(good, 'LED', 'teasel-light-8', stripsBeyond(good, catalogue)),
    cells: good.cells,
    must: true,
  }),
  'volts that nothing gives': (good, catalogue) => {
    const like = catalogue.model(fitted('pochard-rx-d'));
    const only: [number, number] = [11.5, 12.5];
    const model: PartModel = {
      ...like,
      id: 'twelve-volt-receiver',
      terminals: like.terminals.map((terminal) => ({
        ...terminal,
        roles: terminal.roles.map((role) => (role.is === 'supply' ? { ...role, volts: only } : role)),
      })),
    };
    return {
      slots: { ...good.slots, RX9: fitted(model.id) },
      cells: good.cells,
      must: true,
      catalogue: beside(catalogue, model),
    };
  },
  'fewer pads for ESCs than ESCs': (good, catalogue) => {
    const board = good.slots.PDB && modelAt(good, catalogue, 'PDB');
    if (!board) return null;
    const pads = board.terminals.filter(
      ({ roles, thickestAwg }) =>
        thickestAwg <= 16 && roles.some((role) => role.is === 'supply' && role.dir === 'gives' && role.volts[1] > 12),
    );
    const gone = new Set(pads.slice(0, Math.ceil(pads.length / 2) + 1).map(({ id }) => id));
    const model: PartModel = {
      ...board,
      id: 'small-board',
      terminals: board.terminals.map((terminal) => (gone.has(terminal.id) ? { ...terminal, holds: 0 } : terminal)),
    };
    return gone.size === 0
      ? null
      : {
          slots: { ...good.slots, PDB: fitted(model.id) },
          cells: good.cells,
          catalogue: beside(catalogue, model),
        };
  },
  'a receiver held on a port of the wrong kind': (good, catalogue) => {
    const motor = modelAt(good, catalogue, 'FC').ports.find(({ kind }) => kind === 'motorSignal' || kind === 'video');
    return motor
      ? {
          slots: good.slots,
          cells: good.cells,
          must: true,
          pinned: [{ what: 'port', of: 'receiver RX', value: `FC/${motor.id}` }],
        }
      : null;
  },
};

export const kindsOfImpossible = Object.keys(makers);

/** What a good build becomes when one of these is asked of it; null where it has no room for that. */
export function impossible(good: Generated, catalogue: Catalogue, kind: string, seed: number): Impossible | null {
  const made = makers[kind]!(good, catalogue, seed);
  if (!made) return null;
  const own = made.catalogue ?? catalogue;
  const wishes = wishesFor(assemble({ ...emptyBuild, slots: made.slots }, own)).map((wish) =>
    made.must ? { ...wish, must: /receiver|positioning|lights/.test(wish.id) || wish.must } : wish,
  );
  return {
    name: `${kind}: ${good.name}`,
    slots: made.slots,
    cells: made.cells,
    wishes,
    pinned: made.pinned ?? [],
    catalogue: own,
  };
}
