/**
 * Another part model in a slot of a plan: every wire goes to the terminal of the new model that does the same; a plug
 * goes into the socket with the same order, with another housing where the family differs; one that the new model lacks
 * is cut off and its wires are soldered. What has no place any more is named, not dropped in silence.
 */
import type { Build, Housing, Mate, Wire, WireEnd } from '../assembly/build';
import type { PartModel, Terminal } from '../catalogue/partModel';
import type { Range, Slot, WireId } from '../terms/names';
import { splitRef, terminalRef } from '../terms/names';
import { Places } from './places';
import type { PlanDraft } from './plan';
import { lookUp } from '../terms/lookUp';

export interface Swapped {
  plan: PlanDraft;
  lost: readonly Lost[];
}

/** A wire that found no place on the new model. */
export interface Lost {
  wire: WireId;
  /** What is printed where it was. */
  was: string;
  /** What the new model wants there instead; null when it has nothing of the kind. */
  instead: string | null;
}

/** Why wires found no place, in a sentence each. */
export function lostWords(lost: readonly Lost[]): string[] {
  const missing = lost.flatMap(({ was, instead }) => (instead ? [] : [was]));
  const none = missing.length > 0 ? [`It has no pad for ${[...new Set(missing)].join(', ')}.`] : [];
  return [...none, ...new Set(lost.flatMap(({ instead }) => instead ?? []))];
}

export function swapModel(plan: PlanDraft, slot: Slot, from: PartModel, to: PartModel): Swapped {
  const places = new Places(from, to);
  const lost: Lost[] = [];
  const kept = keptMates(plan.target, slot, places);
  const cut = new Set(
    Object.entries(plan.target.mates).flatMap(([id, { a, b }]) => {
      const own = [a, b].find((side) => 'slot' in side && side.slot === slot);
      return own && !lookUp(kept.mates, id) ? [id] : [];
    }),
  );
  const pins = pinsOfCutHousings(plan.target, slot, from, cut);
  const wires: Record<string, Wire> = {};
  for (const wire of Object.values(plan.target.wires)) {
    const ends = wire.ends.map((end): WireEnd | null => {
      const oldOf = () => {
        if (end.at.on === 'terminal' && splitRef(end.at.ref).slot === slot) return splitRef(end.at.ref).terminal;
        if (end.at.on === 'cavity') return pins.get(`${end.at.housing}#${end.at.position}`) ?? null;
        return null;
      };
      const old = oldOf();
      if (old === null) return end;
      const next = places.take(old);
      return (
        next && {
          at: { on: 'terminal', ref: terminalRef(slot, next.id) },
          by: end.by === 'factory' ? 'factory' : 'solder',
          lay: 'flat',
        }
      );
    });
    const [a, b] = ends;
    if (a && b) wires[wire.id] = { ...wire, ends: [a, b] };
    else lost.push({ wire: wire.id, ...whyLost(oldTerminal(wire, slot, from, pins), to) });
  }
  const gone = new Set([...pins.keys()].map((name) => name.split('#')[0]!));
  const target: Build = {
    ...plan.target,
    wires,
    slots: {
      ...plan.target.slots,
      [slot]: { ...lookUp(plan.target.slots, slot)!, model: to.id, revision: to.revision },
    },
    mates: Object.fromEntries(
      Object.entries(plan.target.mates)
        .filter(([id]) => !cut.has(id))
        .map(([id, mate]) => [id, lookUp(kept.mates, id) ?? mate]),
    ),
    housings: Object.fromEntries(
      Object.entries(plan.target.housings)
        .filter(([id]) => !gone.has(id))
        .map(([id, housing]) => [id, lookUp(kept.housings, id) ?? housing]),
    ),
  };
  const links = plan.links.map((link) => ({
    ...link,
    wires: link.wires.filter((id) => Object.hasOwn(wires, id)),
    ends: link.ends.flatMap((end) => {
      if (end.slot !== slot) return [end];
      const port = places.port(end.port);
      return port ? [{ ...end, port }] : [];
    }),
  }));
  return { plan: { ...plan, target, links }, lost };
}

/** Mates that go on in a socket of the new model with the same order, and the housings that fit it. */
function keptMates(
  build: Build,
  slot: Slot,
  places: Places,
): { mates: Record<string, Mate>; housings: Record<string, Housing> } {
  const mates: Record<string, Mate> = {};
  const housings: Record<string, Housing> = {};
  for (const [id, mate] of Object.entries(build.mates)) {
    for (const side of ['a', 'b'] as const) {
      const own = mate[side];
      const socket = 'slot' in own && own.slot === slot ? places.socketLike(own.connector) : null;
      if (!socket) continue;
      mates[id] = { ...mate, [side]: { slot, connector: socket.id } };
      const other = mate[side === 'a' ? 'b' : 'a'];
      const housing = 'housing' in other ? lookUp(build.housings, other.housing) : undefined;
      if (housing)
        housings[housing.id] = { ...housing, family: socket.family, pitchMm: socket.pitchMm, key: socket.key };
    }
  }
  return { mates, housings };
}

/** The terminal that a wire had on the old model. */
function oldTerminal(wire: Wire, slot: Slot, from: PartModel, pins: ReadonlyMap<string, string>): Terminal | undefined {
  const ids = wire.ends.flatMap(({ at }) => {
    if (at.on === 'terminal' && splitRef(at.ref).slot === slot) return [splitRef(at.ref).terminal];
    if (at.on === 'cavity') return pins.get(`${at.housing}#${at.position}`) ?? [];
    return [];
  });
  return from.terminals.find(({ id }) => id === ids[0]);
}

/** A supply pad of other volts is told from one that is not there. */
function whyLost(old: Terminal | undefined, to: PartModel): Omit<Lost, 'wire'> {
  const was = old?.printed || 'a lead';
  const supply = (terminal: Terminal | undefined) => terminal?.roles.find((role) => role.is === 'supply');
  const wanted = supply(old);
  const other = to.terminals.find((terminal) => wanted && supply(terminal)?.dir === wanted.dir);
  const its = supply(other);
  if (!wanted || !other || !its) return { was, instead: null };
  const says = `${wanted.dir} ${voltsFromTo(its.volts)}, where ${was} ${wanted.dir} ${voltsFromTo(wanted.volts)}`;
  return { was, instead: `Its ${other.printed || other.id} ${says}.` };
}

function voltsFromTo([low, high]: Range): string {
  return low === high ? `${low} V` : `${low} to ${high} V`;
}

/** Old pin under each cavity of the housings that were mated to a connector which is gone. */
function pinsOfCutHousings(build: Build, slot: Slot, from: PartModel, cut: ReadonlySet<string>): Map<string, string> {
  const pins = new Map<string, string>();
  for (const id of cut) {
    const { a, b, shift } = lookUp(build.mates, id)!;
    const [own, other] = 'slot' in a && a.slot === slot ? [a, b] : [b, a];
    const connector = 'slot' in own ? from.connectors.find((connector) => connector.id === own.connector) : null;
    if (!connector || !('housing' in other)) continue;
    connector.pins.forEach((pin, index) => pins.set(`${other.housing}#${index + 1 + shift}`, pin));
  }
  return pins;
}
