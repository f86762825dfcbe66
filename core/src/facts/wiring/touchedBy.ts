/**
 * What an act touches: every terminal on the nets that it changed, both before and after it.
 * A reading on such a terminal is stale from then on.
 */
import type { Build, ConnectorRef } from '../assembly/build';
import { landedOn } from '../assembly/build';
import type { Catalogue } from '../catalogue/catalogue';
import type { TerminalRef, WireId } from '../terms/names';
import { jointName, terminalRef } from '../terms/names';
import { netlist } from './netlist';
import type { Act } from '../assembly/act';
import { modelIn } from '../assembly/lookUp';

/** The terminals and joints touched; an act that changed nothing touches nothing but the joint it heated. */
export function touchedBy(
  act: Act,
  before: Build,
  after: Build,
  catalogue: Catalogue,
): { touched: ReadonlySet<TerminalRef>; joints: readonly string[] } {
  if (before === after) return { touched: new Set(), joints: [] };
  const touched = new Set<TerminalRef>();
  for (const build of [before, after]) {
    const nets = netlist(build, catalogue);
    for (const ref of seeds(act, build, catalogue)) {
      touched.add(ref);
      nets.netOf(ref)?.terminals.forEach((other) => touched.add(other));
    }
    for (const wire of wiresOf(act)) nets.netOfWire(wire)?.terminals.forEach((other) => touched.add(other));
  }
  return { touched, joints: jointsOf(act) };
}

function jointsOf(act: Act): string[] {
  return act.do === 'land' || act.do === 'reheat' || act.do === 'free' ? [jointName(act.wire, act.end)] : [];
}

function wiresOf(act: Act): WireId[] {
  return 'wire' in act ? [act.wire] : [];
}

/** Terminals that an act names by itself. Wires are followed separately. */
function seeds(act: Act, build: Build, catalogue: Catalogue): TerminalRef[] {
  switch (act.do) {
    case 'fit':
    case 'take off':
      return allTerminals(build, act.slot, catalogue);
    case 'mate':
      return [...ofSide(build, act.mate.a, catalogue), ...ofSide(build, act.mate.b, catalogue)];
    case 'unmate': {
      const mate = build.mates[act.id];
      return mate ? [...ofSide(build, mate.a, catalogue), ...ofSide(build, mate.b, catalogue)] : [];
    }
    case 'contact':
      return [act.a, act.b];
    case 'hide':
    case 'bare':
      return [...act.refs];
    case 'drop wire': {
      const wire = build.wires[act.wire];
      return wire ? wire.ends.flatMap((end) => landedOn(end) ?? []) : [];
    }
    default:
      return [];
  }
}

function allTerminals(build: Build, slot: string, catalogue: Catalogue): TerminalRef[] {
  return (modelIn(build, slot, catalogue)?.terminals ?? []).map(({ id }) => terminalRef(slot, id));
}

function ofSide(build: Build, side: ConnectorRef, catalogue: Catalogue): TerminalRef[] {
  if (!('slot' in side)) return [];
  const connector = modelIn(build, side.slot, catalogue)?.connectors.find(({ id }) => id === side.connector);
  return (connector?.pins ?? []).map((pin) => terminalRef(side.slot, pin));
}
