/**
 * Netlist: all terminals that are electrically one through wires, mated plugs and the copper inside parts.
 * Elements inside parts (windings, diodes) do not join nets. Union-find.
 */
import type { ConnectorRef, Landing, Mate } from '../assembly/build';
import { terminalOf } from '../catalogue/catalogue';
import { shortBelowOhms } from '../catalogue/conductors';
import type { TerminalRef, WireId } from '../terms/names';
import { splitRef, terminalRef } from '../terms/names';
import type { Assembly } from '../assembly/assembly';
import { remembered } from '../assembly/assembly';
import { lookUp } from '../terms/lookUp';

export interface Net {
  id: string;
  terminals: readonly TerminalRef[];
  wires: readonly WireId[];
}

export interface Netlist {
  nets: readonly Net[];
  /** The net of a terminal; null when the terminal does not exist in the build. */
  netOf(ref: TerminalRef): Net | null;
  /** The net of a wire; null when there is no such wire. */
  netOfWire(wire: WireId): Net | null;
  /** The id of the net that a conductor inside a part (`SLOT:NODE`) belongs to, also when no terminal shows it. */
  idOf(conductor: string): string;
}

/** The conductor inside a part that a terminal belongs to, as `SLOT:NODE`; null when it does not exist. */
function conductorOf(assembly: Assembly, ref: TerminalRef): string | null {
  const { slot, terminal } = splitRef(ref);
  const model = assembly.model(slot);
  const found = model && terminalOf(model, terminal);
  return found ? `${slot}:${found.node}` : null;
}

/**
 * The point that a wire's end is on, as a conductor or a cavity `HOUSING#POSITION`; null for air or a missing terminal.
 */
export function pointOf(assembly: Assembly, at: Landing): string | null {
  if (at.on === 'air') return null;
  if (at.on === 'cavity') return `${at.housing}#${at.position}`;
  return conductorOf(assembly, at.ref);
}

/**
 * The pairs of points that a mated plug joins, with the position on side a. Positions that miss the other side are left
 * out.
 */
export function matedPoints(assembly: Assembly, mate: Mate): { a: string; b: string; position: number }[] {
  const a = pointsOf(assembly, mate.a);
  const b = pointsOf(assembly, mate.b);
  return a.flatMap((point, index) => {
    const opposite = (mate.mirrored ? b.length - 1 - index : index) + mate.shift;
    const other = b[opposite];
    return point && other ? [{ a: point, b: other, position: index + 1 }] : [];
  });
}

function pointsOf(assembly: Assembly, side: ConnectorRef): (string | null)[] {
  if ('housing' in side) {
    const ways = lookUp(assembly.build.housings, side.housing)?.ways ?? 0;
    return Array.from({ length: ways }, (_, index) => `${side.housing}#${index + 1}`);
  }
  const model = assembly.model(side.slot);
  const connector = model?.connectors.find(({ id }) => id === side.connector);
  return (connector?.pins ?? []).map((pin) => conductorOf(assembly, terminalRef(side.slot, pin)));
}

/**
 * The netlist of a build, with what was found touching. A terminal that nothing is joined to is a net of its own.
 */
export const netlist = remembered(joinAll);

function joinAll(assembly: Assembly): Netlist {
  const parent = new Map<string, string>();
  const find = (point: string): string => {
    let root = point;
    while (parent.get(root) !== root) {
      if (!parent.has(root)) parent.set(root, root);
      else root = parent.get(root)!;
    }
    parent.set(point, root);
    return root;
  };
  const join = (a: string, b: string) => parent.set(find(a), find(b));

  for (const wire of Object.values(assembly.build.wires)) {
    for (const end of wire.ends) {
      const point = pointOf(assembly, end.at);
      if (point) join(`~${wire.id}`, point);
    }
  }
  for (const mate of Object.values(assembly.build.mates)) {
    for (const { a, b } of matedPoints(assembly, mate)) join(a, b);
  }
  for (const { a, b, ohms } of assembly.build.contacts) {
    const [one, other] = [conductorOf(assembly, a), conductorOf(assembly, b)];
    if (one && other && ohms < shortBelowOhms) join(one, other);
  }
  return collect(assembly, find);
}

function collect(assembly: Assembly, find: (point: string) => string): Netlist {
  const byRoot = new Map<string, { id: string; terminals: TerminalRef[]; wires: WireId[] }>();
  const netAt = (root: string) => {
    let net = byRoot.get(root);
    if (!net) byRoot.set(root, (net = { id: root, terminals: [], wires: [] }));
    return net;
  };
  const rootOfTerminal = new Map<TerminalRef, string>();
  for (const slot of Object.keys(assembly.build.slots)) {
    for (const terminal of assembly.model(slot)!.terminals) {
      const ref = terminalRef(slot, terminal.id);
      const root = find(`${slot}:${terminal.node}`);
      rootOfTerminal.set(ref, root);
      netAt(root).terminals.push(ref);
    }
  }
  for (const wire of Object.keys(assembly.build.wires)) netAt(find(`~${wire}`)).wires.push(wire);
  return {
    nets: [...byRoot.values()],
    netOf: (ref) => byRoot.get(rootOfTerminal.get(ref) ?? '') ?? null,
    netOfWire: (wire) => (lookUp(assembly.build.wires, wire) ? (byRoot.get(find(`~${wire}`)) ?? null) : null),
    idOf: find,
  };
}
