/**
 * What a fault does when power comes. By what the copper was for that now hangs together, and by who has lost what they
 * hung on. The table is the trade's: battery voltage anywhere else kills, a phase on anything kills, a supply that is
 * gone stops.
 */
import type { TerminalRef } from '@junctor/core';
import type { Broken } from '../insides';
import type { Bridge } from '../trueMeter';
import type { Aircraft, Good, Harm, Place } from './aircraft';

type Purpose =
  | { is: 'battery' | 'ground' | 'phase' | 'metal' | 'nothing' }
  | { is: 'rail'; volts: number }
  | { is: 'signal'; bearsV: number };

const rank: Readonly<Record<Harm, number>> = { warn: 0, stop: 1, kill: 2 };

function worst(harms: readonly Harm[]): Harm {
  return harms.reduce((most, harm) => (rank[harm] > rank[most] ? harm : most), 'warn' as Harm);
}

const remembered = new WeakMap<Good, ReadonlyMap<string, Purpose>>();

/** What each piece of copper of a good aircraft is for. */
export function purposesOf(good: Good): ReadonlyMap<string, Purpose> {
  const known = remembered.get(good);
  if (known) return known;
  const pieces = new Map<string, Place[]>();
  for (const place of good.places) {
    const copper = good.copper(place.ref);
    pieces.set(copper, [...(pieces.get(copper) ?? []), place]);
  }
  const purposes = new Map([...pieces].map(([copper, places]) => [copper, purposeOf(places)]));
  remembered.set(good, purposes);
  return purposes;
}

function purposeOf(places: readonly Place[]): Purpose {
  const roles = places.flatMap(({ terminal, model }) =>
    terminal.roles.map((role) => ({
      role,
      port: role.is === 'port' ? model.ports.find(({ id }) => id === role.port) : undefined,
    })),
  );
  const isLead = (isGround: boolean) =>
    places.some(
      ({ model, terminal }) =>
        model.kind === 'battery lead' && terminal.roles.some((role) => (role.is === 'ground') === isGround),
    );
  if (isLead(true) || roles.some(({ role }) => role.is === 'ground')) return { is: 'ground' };
  if (isLead(false)) return { is: 'battery' };
  if (roles.some(({ port }) => port?.kind === 'motorPhase')) return { is: 'phase' };
  const volts = roles.flatMap(({ role }) => (role.is === 'supply' ? [role] : []));
  if (volts.length > 0) {
    const giver = volts.find(({ dir }) => dir === 'gives') ?? volts[0]!;
    return { is: 'rail', volts: giver.volts[1] };
  }
  if (roles.some(({ port }) => port))
    return { is: 'signal', bearsV: Math.min(...places.map(({ terminal }) => terminal.withstandV[1])) };
  return { is: roles.some(({ role }) => role.is === 'metal') ? 'metal' : 'nothing' };
}

/** Null: it does nothing. */
function joined(a: Purpose, b: Purpose): Harm | null {
  const both = (one: Purpose['is'], other: Purpose['is']) =>
    (a.is === one && b.is === other) || (a.is === other && b.is === one);
  const either = (one: Purpose['is']) => a.is === one || b.is === one;
  if (either('nothing')) return null;
  if (both('metal', 'metal') || both('metal', 'signal') || both('metal', 'ground')) return 'warn';
  if (both('metal', 'rail')) return 'warn';
  if (either('battery') || either('phase')) return 'kill';
  const rail = [a, b].find((one) => one.is === 'rail');
  const signal = [a, b].find((one) => one.is === 'signal');
  if (a.is === 'rail' && b.is === 'rail') return Math.abs(a.volts - b.volts) > 0.3 ? 'kill' : 'stop';
  if (rail && signal) return rail.volts > signal.bearsV + 0.3 ? 'kill' : 'stop';
  return 'stop';
}

/** The harm of what is built or bridged; null where nothing has changed for anybody. */
export function harmOf(good: Good, { build, bridges }: Aircraft): Harm | null {
  const purposes = purposesOf(good);
  const copper = bridged(good.copperIn(build), bridges);
  const there = good.places.filter(({ slot }) => build.slots[slot]);
  const now = new Map<string, Set<string>>();
  for (const { ref } of there) {
    const piece = copper(ref);
    now.set(piece, (now.get(piece) ?? new Set<string>()).add(good.copper(ref)));
  }
  const harms = [...now.values()].flatMap((were) => {
    const list = [...were].map((piece) => purposes.get(piece)!);
    return list.flatMap((a, index) => list.slice(index + 1).flatMap((b) => joined(a, b) ?? []));
  });
  harms.push(...lost(good, there, copper), ...reversed(there, copper));
  return harms.length === 0 ? null : worst(harms);
}

function bridged(copper: (ref: TerminalRef) => string, bridges: readonly Bridge[]): (ref: TerminalRef) => string {
  const renamed = new Map<string, string>();
  const last = (piece: string): string => (renamed.has(piece) ? last(renamed.get(piece)!) : piece);
  for (const { a, b } of bridges) {
    const [one, other] = [last(copper(a)), last(copper(b))];
    if (one !== other) renamed.set(other, one);
  }
  return (ref) => last(copper(ref));
}

/** Who no longer hangs on what it hung on. */
function lost(good: Good, there: readonly Place[], copper: (ref: TerminalRef) => string): Harm[] {
  const before = slotsOn(good.places, good.copper);
  const now = slotsOn(there, copper);
  const wasJoined = ({ ref }: Place) => before.get(good.copper(ref))!.size > 1;
  const isJoined = ({ ref }: Place) => now.get(copper(ref))!.size > 1;
  return [...new Set(there.map(({ slot }) => slot))].flatMap((slot): Harm[] => {
    const own = there.filter((place) => place.slot === slot);
    const gone = own.filter((place) => wasJoined(place) && !isJoined(place));
    if (gone.length === 0) return [];
    const [{ model }] = own as [Place, ...Place[]];
    if (model.kind === 'capacitor') return ['warn'];
    const isGround = ({ terminal }: Place) => terminal.roles.some(({ is }) => is === 'ground');
    if (!gone.some(isGround)) return ['stop'];
    if (own.some((place) => isGround(place) && isJoined(place))) return ['warn'];
    const isHigh = ({ terminal }: Place) =>
      terminal.roles.some((role) => role.is === 'supply' && role.dir === 'takes' && role.volts[1] > 9);
    return [own.some((place) => isHigh(place) && isJoined(place)) ? 'kill' : 'stop'];
  });
}

/** Which parts each piece of copper is on. */
function slotsOn(places: readonly Place[], copper: (ref: TerminalRef) => string): Map<string, Set<string>> {
  const slots = new Map<string, Set<string>>();
  for (const { ref, slot } of places) {
    const piece = copper(ref);
    slots.set(piece, (slots.get(piece) ?? new Set<string>()).add(slot));
  }
  return slots;
}

/** A part whose supply sits on ground and whose ground sits on a supply. */
function reversed(there: readonly Place[], copper: (ref: TerminalRef) => string): Harm[] {
  const having = (is: 'ground' | 'supply') =>
    slotsOn(
      there.filter(({ terminal }) => terminal.roles.some((role) => role.is === is)),
      copper,
    );
  const [grounds, supplies] = [having('ground'), having('supply')];
  const on = (slot: string, own: typeof grounds, other: typeof grounds) =>
    [...own].some(([piece, slots]) => slots.has(slot) && [...(other.get(piece) ?? [])].some((each) => each !== slot));
  const slots = [...new Set(there.map(({ slot }) => slot))];
  return slots.some((slot) => on(slot, supplies, grounds) && on(slot, grounds, supplies)) ? ['kill'] : [];
}

/** What an inside does that has failed. */
export function harmInside(good: Good, { slot, element: id, is }: Broken): Harm {
  const model = good.catalogue.model(good.build.slots[slot]!);
  const element = model.elements.find((one) => one.id === id)!;
  const purposes = purposesOf(good);
  const purposeAt = (node: string): Purpose['is'] => {
    const place = good.of(slot).find(({ terminal }) => terminal.node === node);
    return place ? purposes.get(good.copper(place.ref))!.is : 'nothing';
  };
  const between = (a: string, b: string) => [purposeAt(a), purposeAt(b)];
  switch (element.is) {
    case 'winding':
      return is === 'short' ? 'kill' : 'stop';
    case 'capacitor':
      if (is !== 'short') return 'warn';
      return between(element.plus, element.minus).includes('battery') ? 'kill' : 'stop';
    case 'diode': {
      const sides = between(element.anode, element.cathode);
      if (is === 'short') return sides.includes('phase') || sides.includes('battery') ? 'kill' : 'stop';
      return sides.includes('phase') ? 'stop' : 'warn';
    }
    case 'regulator':
      return is === 'short' ? 'kill' : 'stop';
    case 'load':
      return is === 'short' && between(element.plus, element.minus).includes('battery') ? 'kill' : 'stop';
    case 'resistor':
    case 'switch':
      return 'warn';
  }
}
