/**
 * What work on an aircraft reaches: every terminal that was on one conductor with something that was soldered, freed,
 * plugged, pulled, put in or taken out, before or after it. Worked out from the builds before and after each act by
 * spreading from conductor to conductor; shares no code with what it judges.
 */
import type { Act, Build, PartModel } from '@junctor/core';

export type ModelOf = (slot: string) => PartModel | undefined;

/** One act with the quad before and after it. */
export interface Done {
  act: Act;
  before: Build;
  after: Build;
}

export function touchedByWork(work: readonly Done[], models: (build: Build) => ModelOf): Set<string> {
  const touched = new Set<string>();
  for (const { act, before, after } of work) {
    if (same(before, after)) continue;
    for (const build of [before, after]) spread(build, models(build), seedsOf(act, build, models(build)), touched);
  }
  return touched;
}

/** The terminals on one copper with a terminal. */
export function copperOf(ref: string, build: Build, modelOf: ModelOf): Set<string> {
  const found = new Set<string>();
  spread(build, modelOf, [partPlace(ref)], found);
  return found;
}

function same(a: Build, b: Build): boolean {
  const shape = ({ slots, wires, mates, contacts }: Build) => JSON.stringify([slots, wires, mates, contacts]);
  return shape(a) === shape(b);
}

/** Places by name: `part SLOT TERMINAL`, `cavity HOUSING POSITION`. */
type Place = `part ${string} ${string}` | `cavity ${string} ${number}`;

const partPlace = (ref: string): Place => `part ${ref.slice(0, ref.indexOf('.'))} ${ref.slice(ref.indexOf('.') + 1)}`;

function placesOfWire(build: Build, id: string): Place[] {
  return (build.wires[id]?.ends ?? []).flatMap(({ at }): Place[] => {
    if (at.on === 'terminal') return [partPlace(at.ref)];
    return at.on === 'cavity' ? [`cavity ${at.housing} ${at.position}`] : [];
  });
}

function placesOfSide(side: Build['mates'][string]['a'], build: Build, modelOf: ModelOf): Place[] {
  if ('slot' in side) {
    const pins = modelOf(side.slot)?.connectors.find(({ id }) => id === side.connector)?.pins ?? [];
    return pins.map((pin): Place => `part ${side.slot} ${pin}`);
  }
  const ways = build.housings[side.housing]?.ways ?? 0;
  return Array.from({ length: ways }, (_, index): Place => `cavity ${side.housing} ${index + 1}`);
}

function seedsOf(act: Act, build: Build, modelOf: ModelOf): Place[] {
  switch (act.do) {
    case 'land':
    case 'free':
    case 'reheat':
    case 'drop wire':
      return placesOfWire(build, act.wire);
    case 'fit':
    case 'take off':
      return (modelOf(act.slot)?.terminals ?? []).map(({ id }): Place => `part ${act.slot} ${id}`);
    case 'mate':
      return [...placesOfSide(act.mate.a, build, modelOf), ...placesOfSide(act.mate.b, build, modelOf)];
    case 'unmate': {
      const mate = build.mates[act.id];
      return mate ? [...placesOfSide(mate.a, build, modelOf), ...placesOfSide(mate.b, build, modelOf)] : [];
    }
    default:
      return [];
  }
}

/** Goes on from each place to all that lies on the same copper, and notes the terminals on the way. */
function spread(build: Build, modelOf: ModelOf, seeds: readonly Place[], touched: Set<string>): void {
  const next = neighbours(build, modelOf);
  const open = [...seeds];
  const seen = new Set<Place>(open);
  for (let place = open.pop(); place !== undefined; place = open.pop()) {
    const [is, name, terminal] = place.split(' ') as [string, string, string];
    if (is === 'part') touched.add(`${name}.${terminal}`);
    for (const other of next(place)) {
      if (seen.has(other)) continue;
      seen.add(other);
      open.push(other);
    }
  }
}

function neighbours(build: Build, modelOf: ModelOf): (place: Place) => Place[] {
  const pairs = new Map<Place, Set<Place>>();
  const join = (places: readonly Place[]) => {
    for (const one of places) {
      const known = pairs.get(one) ?? new Set<Place>();
      for (const other of places) known.add(other);
      pairs.set(one, known);
    }
  };
  for (const id of Object.keys(build.wires)) join(placesOfWire(build, id));
  for (const { a, b, shift, mirrored } of Object.values(build.mates)) {
    const [left, right] = [placesOfSide(a, build, modelOf), placesOfSide(b, build, modelOf)];
    left.forEach((one, index) => {
      const other = right[(mirrored ? right.length - 1 - index : index) + shift];
      if (other) join([one, other]);
    });
  }
  for (const { a, b } of build.contacts) join([partPlace(a), partPlace(b)]);
  const inside = (place: Place): Place[] => {
    const [is, slot, terminal] = place.split(' ') as [string, string, string];
    if (is !== 'part') return [];
    const own = modelOf(slot)?.terminals ?? [];
    const node = own.find(({ id }) => id === terminal)?.node;
    return own.filter((other) => other.node === node).map(({ id }): Place => `part ${slot} ${id}`);
  };
  return (place) => [...(pairs.get(place) ?? []), ...inside(place)];
}
