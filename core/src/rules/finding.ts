/** What a wiring rule says, and what it is given. */
import type { Build } from '../build/build';
import { landedOn } from '../build/build';
import type { Catalogue } from '../catalogue/catalogue';
import { findTerminal, modelIn } from '../catalogue/catalogue';
import type { Port, PortPin, Terminal } from '../catalogue/partModel';
import type { Range, TerminalRef, WireId } from '../names';
import { splitRef } from '../names';
import type { Link } from '../plan/plan';
import type { Net, Netlist } from '../wiring/netlist';
import { netlist } from '../wiring/netlist';
import type { NetSource } from './sources';
import { sourcesOf } from './sources';

/** kill destroys hardware; stop does not work or is unsafe; warn works badly. */
export type Severity = 'kill' | 'stop' | 'warn';

export interface Finding {
  /** Stable over re-plans: rule and terminals. */
  key: string;
  rule: string;
  severity: Severity;
  at: readonly TerminalRef[];
  wires: readonly WireId[];
  /** In a technician's words. */
  says: string;
}

/** What every rule sees: a build of a plan or as built, alike. */
export interface RuleView {
  build: Build;
  catalogue: Catalogue;
  links: readonly Link[];
  /** Empty to full volts of the packs that will be used. */
  packV: Range;
  nets: Netlist;
  sources: ReadonlyMap<Net, readonly NetSource[]>;
  terminal(ref: TerminalRef): Terminal;
  /** Nets that a wire or a plug joins to something. */
  joined: readonly Net[];
}

export type Rule = (view: RuleView) => Finding[];

/** Volts of one lithium pouch cell, empty and full. */
export const cellV: Range = [3.0, 4.2];

export function makeRuleView(build: Build, catalogue: Catalogue, links: readonly Link[], cells: Range): RuleView {
  const nets = netlist(build, catalogue);
  const packV: Range = [cells[0] * cellV[0], cells[1] * cellV[1]];
  return {
    build, catalogue, links, packV, nets,
    sources: sourcesOf(build, catalogue, nets, packV),
    terminal: (ref) => findTerminal(build, ref, catalogue)!,
    joined: nets.nets.filter((net) => net.wires.length > 0 || new Set(net.terminals.map((ref) => splitRef(ref).slot)).size > 1),
  };
}

/** A finding over one net: the wires are those that end on the terminals named, else all of the net. */
export function finding(view: RuleView, rule: string, severity: Severity, net: Net, at: readonly TerminalRef[], says: string): Finding {
  const touching = net.wires.filter((id) => view.build.wires[id]!.ends.some((end) => at.includes(landedOn(end) as TerminalRef)));
  return { key: `${rule}:${[...at].sort().join('+')}`, rule, severity, at, wires: touching.length > 0 ? touching : net.wires, says };
}

/** The port and pin a terminal can be, with the slot it belongs to; null when it is no port. */
export function portOf(view: RuleView, ref: TerminalRef): { slot: string; port: Port; pin: PortPin } | null {
  const { slot } = splitRef(ref);
  const role = view.terminal(ref).roles.find((one) => one.is === 'port');
  if (role?.is !== 'port') return null;
  const port = modelIn(view.build, slot, view.catalogue)!.ports.find(({ id }) => id === role.port);
  return port ? { slot, port, pin: role.pin } : null;
}

/** Slot and printed label, as a technician says it: `FC pad G`. */
export function spoken(view: RuleView, ref: TerminalRef): string {
  const { slot } = splitRef(ref);
  return `${slot} ${view.terminal(ref).printed}`;
}
