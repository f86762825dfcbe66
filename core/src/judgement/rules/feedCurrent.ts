/** How much current a wire of a build carries into the part that it feeds. */
import type { TerminalRef, WireId } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import type { SupplyTree } from '../../physics/loads/supplyTree';
import { terminalUnder } from '../../facts/wiring/terminalUnder';
import type { RuleView } from './finding';
import { hasRole, isSupply } from '../../facts/catalogue/roles';
import { lookUp } from '../../facts/terms/lookUp';

interface Feed {
  /** The supply terminal that is fed. */
  ref: TerminalRef;
  /** Typically, at the empty pack, through this wire alone. */
  amps: number;
}

/** null for a wire that feeds no part. Wires that feed one part together share what it draws. */
export function feedThrough(view: RuleView, id: WireId): Feed | null {
  const fed = fedBy(view, id);
  return fed && { ref: fed.ref, amps: ampsInto(view.tree, fed.ref) / fed.shared };
}

/** The supply terminal that a wire feeds, and how many wires feed that part together. */
function fedBy(view: RuleView, id: string): { ref: TerminalRef; shared: number } | null {
  const net = view.nets.netOfWire(id);
  if (!net || !view.sources.has(net)) return null;
  const takes = (ref: TerminalRef) => isSupply(view.terminal(ref), 'takes');
  const wire = lookUp(view.assembly.build.wires, id)!;
  const own = wire.ends
    .map((end) => terminalUnder(view.assembly, end))
    .find((ref) => ref !== null && view.nets.netOf(ref) && hasRole(view.terminal(ref), 'supply') && takes(ref));
  if (!own) return null;
  const { slot } = splitRef(own);
  const shared = net.wires.filter((other) =>
    lookUp(view.assembly.build.wires, other)!.ends.some((end) =>
      terminalUnder(view.assembly, end)?.startsWith(`${slot}.`),
    ),
  ).length;
  return { ref: own, shared: Math.max(1, shared) };
}

/** What a part draws from a rail at the empty pack, typically, itself and through its regulators. */
function ampsInto(tree: SupplyTree, ref: TerminalRef): number {
  const { slot } = splitRef(ref);
  return tree.rails.reduce((amps, rail) => {
    const own =
      rail.slot === slot
        ? 0
        : rail.draws.filter((draw) => draw.slot === slot).reduce((total, { typical }) => total + typical, 0);
    const parent = tree.rails.find(({ id }) => id === rail.parent);
    return amps + own + (rail.slot === slot && parent?.slot !== slot ? rail.in.empty.typical : 0);
  }, 0);
}
