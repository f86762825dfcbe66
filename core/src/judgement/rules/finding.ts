/** What a wiring rule says, and what it is given. */
import { isSupply } from '../../facts/catalogue/roles';
import type { Port, PortPin, Terminal } from '../../facts/catalogue/partModel';
import type { SupplyTree } from '../../physics/loads/supplyTree';
import { supplyTree } from '../../physics/loads/supplyTree';
import type { PortId, Range, Slot, TerminalRef, WireId } from '../../facts/terms/names';
import { packVolts, splitRef, terminalRef } from '../../facts/terms/names';
import type { Link } from '../../facts/plan/plan';
import type { Net, Netlist } from '../../facts/wiring/netlist';
import { netlist } from '../../facts/wiring/netlist';
import { terminalUnder } from '../../facts/wiring/terminalUnder';
import type { Drive, NetSource } from './sources';
import { drivesOf, sourcesOf } from './sources';
import type { Assembly } from '../../facts/assembly/assembly';
import { terminalWords } from '../../facts/assembly/padWords';
import { capital } from '../../facts/terms/capital';
import { lookUp } from '../../facts/terms/lookUp';

/** The worst first: kill destroys hardware; stop does not work or is unsafe; warn works badly. */
export const severities = ['kill', 'stop', 'warn'] as const;
export type Severity = (typeof severities)[number];

export interface Finding {
  /** Stable over re-plans: rule and terminals. */
  key: string;
  rule: string;
  severity: Severity;
  at: readonly TerminalRef[];
  wires: readonly WireId[];
  /** In a technician's words. */
  message: string;
}

/** One rule: its name, why it exists in a technician's words, and what it finds. */
export interface Rule {
  name: string;
  why: string;
  judge(view: RuleView): Finding[];
}

/** What every rule sees: a build of a plan or as built, alike. */
export interface RuleView {
  assembly: Assembly;
  links: readonly Link[];
  /** Cells of the packs that will be used, and their volts, empty to full. */
  cells: Range;
  packV: Range;
  nets: Netlist;
  tree: SupplyTree;
  /** What feeds a net: the battery, regulators that are fed themselves, USB. */
  sources: ReadonlyMap<Net, readonly NetSource[]>;
  /** What pushes volts onto a net without being a supply: signal pins and motor phases. */
  drives: ReadonlyMap<Net, readonly Drive[]>;
  terminal(ref: TerminalRef): Terminal;
  /** Nets that a wire or a plug joins to something. */
  joined: readonly Net[];
  /** Ports that a link names, as `SLOT/PORT`: of alternative roles of a pin these are meant. */
  named: ReadonlySet<string>;
  /** Ports of a net, worked out once. */
  ports: Map<Net, readonly PortAt[]>;
}

export function makeRuleView(assembly: Assembly, links: readonly Link[], cells: Range): RuleView {
  const nets = netlist(assembly);
  const packV = packVolts(cells);
  const tree = supplyTree(assembly, cells);
  const sources = sourcesOf(assembly, nets, tree);
  const terminals = new Map<TerminalRef, Terminal>();
  return {
    assembly,
    links,
    cells,
    packV,
    nets,
    tree,
    sources,
    drives: drivesOf(assembly, nets, packV, sources),
    terminal: (ref) => {
      const known = terminals.get(ref);
      if (known) return known;
      const found = assembly.terminal(ref)!;
      terminals.set(ref, found);
      return found;
    },
    joined: nets.nets.filter(
      (net) => net.wires.length > 0 || new Set(net.terminals.map((ref) => splitRef(ref).slot)).size > 1,
    ),
    named: new Set(links.flatMap(({ ends }) => ends.map(({ slot, port }) => `${slot}/${port}`))),
    ports: new Map(),
  };
}

/**
 * A finding at terminals, of which one is on the net: the wires are those that end there, also in a plug; without any,
 * all of the net.
 */
export function finding(
  view: RuleView,
  {
    rule,
    severity,
    net,
    at,
    message,
  }: { rule: string; severity: Severity; net: Net; at: readonly TerminalRef[]; message: string },
): Finding {
  const near = new Set([net, ...at.flatMap((ref) => view.nets.netOf(ref) ?? [])].flatMap(({ wires }) => wires));
  const touching = [...near].filter((id) =>
    lookUp(view.assembly.build.wires, id)!.ends.some((end) =>
      at.includes(terminalUnder(view.assembly, end) as TerminalRef),
    ),
  );
  return {
    key: `${rule}:${[...at].sort().join('+')}`,
    rule,
    severity,
    at,
    wires: touching.length > 0 ? touching : net.wires,
    message: capital(message),
  };
}

export interface PortAt {
  ref: TerminalRef;
  slot: Slot;
  port: Port;
  pin: PortPin;
}

/** The port and pin a terminal can be, with the slot it belongs to; null when it is no port. */
export function portOf(view: RuleView, ref: TerminalRef): PortAt | null {
  const { slot } = splitRef(ref);
  const ports = view.terminal(ref).roles.flatMap((role) => (role.is === 'port' ? [role] : []));
  const role = ports.find((port) => view.named.has(`${slot}/${port.port}`)) ?? ports[0];
  const port = role && view.assembly.model(slot)!.ports.find(({ id }) => id === role.port);
  return port ? { ref, slot, port, pin: role.pin } : null;
}

/** The ports on a net. */
export function portsOn(view: RuleView, net: Net): readonly PortAt[] {
  const known = view.ports.get(net);
  if (known) return known;
  const found = net.terminals.flatMap((ref) => portOf(view, ref) ?? []);
  view.ports.set(net, found);
  return found;
}

/** The terminal that is a given pin of a port, or null. */
export function pinOf(view: RuleView, slot: Slot, port: PortId, pin: PortPin): TerminalRef | null {
  const terminal = view.assembly
    .model(slot)
    ?.terminals.find(({ roles }) => roles.some((role) => role.is === 'port' && role.port === port && role.pin === pin));
  return terminal ? terminalRef(slot, terminal.id) : null;
}

/** A terminal as the steps call it: `FC R2`, `FC G by R2`. */
export function spoken(view: RuleView, ref: TerminalRef): string {
  return terminalWords(ref, view.assembly);
}

/** The supply terminals of a part that something feeds. */
export function feedsOf(view: RuleView, slot: Slot): TerminalRef[] {
  return view.assembly
    .model(slot)!
    .terminals.filter((terminal) => isSupply(terminal, 'takes'))
    .map(({ id }) => terminalRef(slot, id))
    .filter((ref) => view.sources.has(view.nets.netOf(ref)!));
}
