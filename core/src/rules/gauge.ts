/** A supply wire too thin for what goes through it. */
import type { TerminalRef } from '../names';
import { splitRef } from '../names';
import type { SupplyTree } from '../loads/supplyTree';
import { hasRole } from '../checks/reach';
import type { Rule, RuleView } from './finding';
import { finding } from './finding';
import { terminalUnder } from '../wiring/terminalUnder';
import { ampsFor } from '../wiring/wireAmps';

const name = 'gauge';

export const gauge: Rule = {
  name,
  why: 'Thin wire drops volts and gets warm in a bundle: 5 A for each square millimetre in a bundle, 10 in free air.',
  judge: (view) =>
    Object.values(view.build.wires).flatMap((wire) => {
      const feeds = fedBy(view, wire.id);
      if (!feeds) return [];
      const amps = ampsInto(view.tree, feeds.ref) / feeds.shared;
      const carries = ampsFor(wire.awg, loadedIn(view, wire.bundle) > 2);
      if (amps <= carries) return [];
      const says = `${wire.id} is ${wire.awg} AWG and carries ${carries.toFixed(1)} A; ${splitRef(feeds.ref).slot} draws ${amps.toFixed(1)} A through it.`;
      return [{ ...finding(view, name, amps > 2 * carries ? 'stop' : 'warn', view.nets.netOf(feeds.ref)!, [feeds.ref], says), wires: [wire.id] }];
    }),
};

/** How many wires of a bundle carry a supply. A data lead with one supply pair cools like a single wire. */
function loadedIn(view: RuleView, bundle: string | undefined): number {
  if (bundle === undefined) return 0;
  return Object.values(view.build.wires).filter((wire) => wire.bundle === bundle && view.sources.has(view.nets.netOfWire(wire.id)!)).length;
}

/** The supply terminal that a wire feeds, and how many wires feed that part together. */
function fedBy(view: RuleView, id: string): { ref: TerminalRef; shared: number } | null {
  const net = view.nets.netOfWire(id);
  if (!net || !view.sources.has(net)) return null;
  const takes = (ref: TerminalRef) => view.terminal(ref).roles.some((role) => role.is === 'supply' && role.dir === 'takes');
  const wire = view.build.wires[id]!;
  const own = wire.ends.map((end) => terminalUnder(view.build, end, view.catalogue)).find((ref) => ref !== null && view.nets.netOf(ref) && hasRole(view.terminal(ref), 'supply') && takes(ref));
  if (!own) return null;
  const { slot } = splitRef(own);
  const shared = net.wires.filter((other) => view.build.wires[other]!.ends.some((end) => terminalUnder(view.build, end, view.catalogue)?.startsWith(`${slot}.`))).length;
  return { ref: own, shared: Math.max(1, shared) };
}

/** What a part draws from a rail at the empty pack, typically, itself and through its regulators. */
function ampsInto(tree: SupplyTree, ref: TerminalRef): number {
  const { slot } = splitRef(ref);
  return tree.rails.reduce((amps, rail) => {
    const own = rail.slot === slot ? 0 : rail.draws.filter((draw) => draw.slot === slot).reduce((total, { typical }) => total + typical, 0);
    const parent = tree.rails.find(({ id }) => id === rail.parent);
    return amps + own + (rail.slot === slot && parent?.slot !== slot ? rail.in.empty.typical : 0);
  }, 0);
}
