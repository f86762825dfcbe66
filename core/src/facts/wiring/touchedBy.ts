/**
 * What an act touches: every terminal on the nets that it changed, both before and after it.
 * A reading on such a terminal is stale from then on.
 */
import type { ConnectorRef } from '../assembly/build';
import { landedOn } from '../assembly/build';
import type { TerminalRef, WireId } from '../terms/names';
import { jointName, terminalRef } from '../terms/names';
import { netlist } from './netlist';
import type { Act } from '../assembly/act';
import type { Assembly } from '../assembly/assembly';
import { lookUp } from '../terms/lookUp';

/** The terminals touched; an act that changed nothing touches none. */
export function touchedBy(act: Act, before: Assembly, after: Assembly): ReadonlySet<TerminalRef> {
  if (before === after) return new Set();
  return new Set([...namedBy(act, before), ...namedBy(act, after)]);
}

/** Every terminal on the nets of what an act names, as one build has them. */
function namedBy(act: Act, assembly: Assembly): ReadonlySet<TerminalRef> {
  const named = new Set<TerminalRef>();
  const nets = netlist(assembly);
  for (const ref of namedTerminals(act, assembly)) {
    named.add(ref);
    nets.netOf(ref)?.terminals.forEach((other) => named.add(other));
  }
  for (const wire of wiresOf(act)) nets.netOfWire(wire)?.terminals.forEach((other) => named.add(other));
  return named;
}

/** Joints (`W12.b`) that an act solders, heats or frees. */
export function jointsOf(act: Act): string[] {
  return act.do === 'land' || act.do === 'reheat' || act.do === 'free' ? [jointName(act.wire, act.end)] : [];
}

function wiresOf(act: Act): WireId[] {
  return 'wire' in act ? [act.wire] : [];
}

/** Terminals that an act names by itself. Wires are followed separately. */
export function namedTerminals(act: Act, assembly: Assembly): TerminalRef[] {
  switch (act.do) {
    case 'fit':
    case 'take off':
      return allTerminals(assembly, act.slot);
    case 'mate':
      return [...ofSide(assembly, act.mate.a), ...ofSide(assembly, act.mate.b)];
    case 'unmate': {
      const mate = lookUp(assembly.build.mates, act.id);
      return mate ? [...ofSide(assembly, mate.a), ...ofSide(assembly, mate.b)] : [];
    }
    case 'contact':
      return [act.a, act.b];
    case 'hide':
    case 'bare':
      return [...act.refs];
    case 'drop wire': {
      const wire = lookUp(assembly.build.wires, act.wire);
      return wire ? wire.ends.flatMap((end) => landedOn(end) ?? []) : [];
    }
    default:
      return [];
  }
}

function allTerminals(assembly: Assembly, slot: string): TerminalRef[] {
  return (assembly.model(slot)?.terminals ?? []).map(({ id }) => terminalRef(slot, id));
}

function ofSide(assembly: Assembly, side: ConnectorRef): TerminalRef[] {
  if (!('slot' in side)) return [];
  const connector = assembly.model(side.slot)?.connectors.find(({ id }) => id === side.connector);
  return (connector?.pins ?? []).map((pin) => terminalRef(side.slot, pin));
}
