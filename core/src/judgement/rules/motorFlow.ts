/**
 * How the current of what drives the motors divides over the wires and contacts between it and the pack, on plus and on
 * minus. What lies side by side between the same two conductors shares it by its copper.
 */
import type { Slot, TerminalRef, WireId } from '../../facts/terms/names';
import { splitRef, terminalRef } from '../../facts/terms/names';
import { hasRole } from '../../facts/catalogue/roles';
import { mainLeads } from '../../facts/wiring/mainLeads';
import { matedPoints, pointOf } from '../../facts/wiring/netlist';
import { contactOhms, jointOhms, wireOhms } from '../../physics/circuit/compile';
import { lengthMmOf } from '../../physics/layout/wireLength';
import type { RuleView } from './finding';

export interface Flow {
  /** Null: a contact of a plug. */
  wire: WireId | null;
  /** A terminal at one of its ends. */
  ref: TerminalRef;
  amps: number;
  /** What the contact is made for; null for a wire. */
  contactA: number | null;
}

interface Edge extends Omit<Flow, 'amps'> {
  a: string;
  b: string;
  siemens: number;
}

/** @param drawnA What each part that drives motors takes from the pack. */
export function motorFlow(view: RuleView, drawnA: ReadonlyMap<Slot, number>): Flow[] {
  const leads = mainLeads(view.assembly);
  if (!leads || drawnA.size === 0) return [];
  const edges = edgesOf(view);
  return [
    { from: leads.plus, is: 'supply' as const },
    { from: leads.minus, is: 'ground' as const },
  ].flatMap(({ from, is }) => {
    const start = pointOf(view.assembly, { on: 'terminal', ref: from })!;
    const ends = [...drawnA].map(([slot, amps]) => ({ points: pointsOf(view, slot, is), amps }));
    const whole = reach(edges, start);
    const own = edges.filter(({ a, b }) => whole.has(a) && whole.has(b));
    return own.flatMap((edge): Flow[] => {
      const beside = own.filter((other) => isBeside(edge, other));
      const left = reach(
        own.filter((other) => !beside.includes(other)),
        start,
      );
      const lost = ends.filter(
        ({ points }) => points.some((point) => whole.has(point)) && !points.some((point) => left.has(point)),
      );
      const share = edge.siemens / beside.reduce((sum, other) => sum + other.siemens, 0);
      const amps = share * lost.reduce((sum, end) => sum + end.amps, 0);
      return amps > 0 ? [{ wire: edge.wire, ref: edge.ref, contactA: edge.contactA, amps }] : [];
    });
  });
}

function isBeside(one: Edge, other: Edge): boolean {
  return (one.a === other.a && one.b === other.b) || (one.a === other.b && one.b === other.a);
}

function pointsOf({ assembly }: RuleView, slot: Slot, is: 'supply' | 'ground'): string[] {
  const terminals = assembly.model(slot)!.terminals.filter((one) => hasRole(one, is));
  return [...new Set(terminals.map(({ node }) => `${slot}:${node}`))];
}

function edgesOf({ assembly }: RuleView): Edge[] {
  const wires = Object.values(assembly.build.wires).flatMap((wire): Edge[] => {
    const [a, b] = wire.ends.map(({ at }) => pointOf(assembly, at));
    const ref = wire.ends.flatMap(({ at }) => (at.on === 'terminal' ? [at.ref] : []))[0];
    const siemens = 1 / (wireOhms(wire.awg, lengthMmOf(assembly, wire)) + jointOhms);
    return a && b && ref ? [{ a, b, siemens, wire: wire.id, ref, contactA: null }] : [];
  });
  const contacts = Object.values(assembly.build.mates).flatMap((mate) =>
    matedPoints(assembly, mate).flatMap(({ a, b, position }): Edge[] => {
      const side = [mate.a, mate.b].find((one) => 'slot' in one);
      const connector = side && 'slot' in side ? assembly.connector(side.slot, side.connector) : null;
      const pin = connector?.pins[position - 1];
      if (!side || !('slot' in side) || !connector || !pin) return [];
      const siemens = 1 / contactOhms;
      return [{ a, b, siemens, wire: null, ref: terminalRef(side.slot, pin), contactA: connector.ampsPerPin }];
    }),
  );
  return [...wires, ...contacts].filter(({ ref }) => assembly.model(splitRef(ref).slot) !== null);
}

function reach(edges: readonly Edge[], start: string): ReadonlySet<string> {
  const seen = new Set([start]);
  for (let before = 0; seen.size > before;) {
    before = seen.size;
    for (const { a, b } of edges) {
      if (seen.has(a)) seen.add(b);
      else if (seen.has(b)) seen.add(a);
    }
  }
  return seen;
}
