/**
 * Another part model in a slot of a plan: every wire goes to the terminal of the new model that does the same; a plug
 * goes into the socket with the same order, with another housing where the family differs; one that the new model lacks
 * is
 * cut off and its wires are soldered. What has no place any more is named, not dropped in silence.
 */
import type { Build, Housing, Mate, Wire, WireEnd } from '../assembly/build';
import type { Connector, PartModel, Terminal } from '../catalogue/partModel';
import type { PortId, Slot, WireId } from '../terms/names';
import { splitRef, terminalRef } from '../terms/names';
import type { PlanDraft } from './plan';

export interface Swapped {
  plan: PlanDraft;
  /** Wires that found no place on the new model, with what is printed where they were. */
  lost: readonly { wire: WireId; was: string }[];
}

export function swapModel(plan: PlanDraft, slot: Slot, from: PartModel, to: PartModel): Swapped {
  const places = new Places(from, to);
  const lost: { wire: WireId; was: string }[] = [];
  const kept = keptMates(plan.target, slot, places);
  const cut = new Set(
    Object.entries(plan.target.mates).flatMap(([id, { a, b }]) => {
      const own = [a, b].find((side) => 'slot' in side && side.slot === slot);
      return own && !kept.mates[id] ? [id] : [];
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
    else lost.push({ wire: wire.id, was: oldPrint(wire, slot, from, pins) });
  }
  const gone = new Set([...pins.keys()].map((name) => name.split('#')[0]!));
  const target: Build = {
    ...plan.target,
    wires,
    slots: { ...plan.target.slots, [slot]: { ...plan.target.slots[slot]!, model: to.id, revision: to.revision } },
    mates: Object.fromEntries(
      Object.entries(plan.target.mates)
        .filter(([id]) => !cut.has(id))
        .map(([id, mate]) => [id, kept.mates[id] ?? mate]),
    ),
    housings: Object.fromEntries(
      Object.entries(plan.target.housings)
        .filter(([id]) => !gone.has(id))
        .map(([id, housing]) => [id, kept.housings[id] ?? housing]),
    ),
  };
  const links = plan.links.map((link) => ({
    ...link,
    wires: link.wires.filter((id) => id in wires),
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
      const housing = 'housing' in other ? build.housings[other.housing] : undefined;
      if (housing)
        housings[housing.id] = { ...housing, family: socket.family, pitchMm: socket.pitchMm, key: socket.key };
    }
  }
  return { mates, housings };
}

/** What is printed at the terminal that a wire had on the old model. */
function oldPrint(wire: Wire, slot: Slot, from: PartModel, pins: ReadonlyMap<string, string>): string {
  const ids = wire.ends.flatMap(({ at }) => {
    if (at.on === 'terminal' && splitRef(at.ref).slot === slot) return [splitRef(at.ref).terminal];
    if (at.on === 'cavity') return pins.get(`${at.housing}#${at.position}`) ?? [];
    return [];
  });
  return from.terminals.find(({ id }) => id === ids[0])?.printed || wire.id;
}

/** Old pin under each cavity of the housings that were mated to a connector which is gone. */
function pinsOfCutHousings(build: Build, slot: Slot, from: PartModel, cut: ReadonlySet<string>): Map<string, string> {
  const pins = new Map<string, string>();
  for (const id of cut) {
    const { a, b, shift } = build.mates[id]!;
    const [own, other] = 'slot' in a && a.slot === slot ? [a, b] : [b, a];
    const connector = 'slot' in own ? from.connectors.find((connector) => connector.id === own.connector) : null;
    if (!connector || !('housing' in other)) continue;
    connector.pins.forEach((pin, index) => pins.set(`${other.housing}#${index + 1 + shift}`, pin));
  }
  return pins;
}

/** Which terminal of the new model does what one of the old did; each is filled only as far as it holds. */
class Places {
  private readonly used = new Map<string, number>();
  private readonly ports = new Map<PortId, PortId>();

  constructor(
    private readonly from: PartModel,
    private readonly to: PartModel,
  ) {}

  /** A socket of the new model whose pins do the same in the same order; one of the same family before others. */
  socketLike(id: string): Connector | null {
    const old = this.from.connectors.find((connector) => connector.id === id);
    if (!old) return null;
    const alike = this.to.connectors.filter(
      ({ pins }) => pins.length === old.pins.length && pins.every((pin, index) => this.does(pin, old.pins[index]!)),
    );
    return alike.find(({ family }) => family === old.family) ?? alike[0] ?? null;
  }

  private does(newId: string, oldId: string): boolean {
    const [a, b] = [
      this.to.terminals.find(({ id }) => id === newId),
      this.from.terminals.find(({ id }) => id === oldId),
    ];
    return Boolean(a && b && fit(this.from, b, this.to, a) > 0);
  }

  take(oldId: string): Terminal | null {
    const old = this.from.terminals.find(({ id }) => id === oldId);
    if (!old) return null;
    const plugged = new Set(this.to.connectors.flatMap(({ pins }) => pins));
    const free = this.to.terminals.filter(
      ({ id, holds, form }) => (this.used.get(id) ?? 0) < holds && form !== 'pin' && !plugged.has(id),
    );
    const ranked = free
      .map((terminal) => ({ terminal, score: fit(this.from, old, this.to, terminal) }))
      .filter(({ score }) => score > 0);
    const best =
      ranked.reduce<(typeof ranked)[number] | null>(
        (top, candidate) => (!top || candidate.score > top.score ? candidate : top),
        null,
      )?.terminal ?? null;
    if (best) this.used.set(best.id, (this.used.get(best.id) ?? 0) + 1);
    return best;
  }

  /** The port of the new model that does what the old one did. */
  port(old: PortId): PortId | null {
    if (!this.ports.has(old)) {
      const was = this.from.ports.find(({ id }) => id === old);
      const same = this.to.ports.filter(({ kind, way }) => kind === was?.kind && (way === was.way || way === 'both'));
      const best = same.find(({ index }) => index === was?.index) ?? same[0];
      if (best) this.ports.set(old, best.id);
    }
    return this.ports.get(old) ?? null;
  }
}

/** How well a terminal does what another did: 0 not at all; the same port number counts most. */
function fit(fromModel: PartModel, old: Terminal, toModel: PartModel, terminal: Terminal): number {
  for (const was of old.roles) {
    for (const is of terminal.roles) {
      if (was.is === 'ground' && is.is === 'ground') return 1 + (terminal.printed === old.printed ? 0.5 : 0);
      if (
        was.is === 'supply' &&
        is.is === 'supply' &&
        was.dir === is.dir &&
        was.volts[0] <= is.volts[1] &&
        is.volts[0] <= was.volts[1]
      )
        return 1;
      if (was.is !== 'port' || is.is !== 'port' || was.pin !== is.pin) continue;
      const [a, b] = [
        fromModel.ports.find(({ id }) => id === was.port),
        toModel.ports.find(({ id }) => id === is.port),
      ];
      if (
        !a ||
        !b ||
        a.kind !== b.kind ||
        (a.kind === 'serial' && a.inversion === 'inverted') !== (b.kind === 'serial' && b.inversion === 'inverted')
      )
        continue;
      if (a.index === b.index) return 3;
      if (a.kind === 'motorSignal' || a.kind === 'motorPhase') return 0;
      return 1;
    }
  }
  return 0;
}
