/** A signal pin on a pad that is for something else. */
import type { TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import type { Net } from '../../facts/wiring/netlist';
import type { Finding, PortAt, Rule, RuleView } from './finding';
import { finding, portOf, portsOn, spoken } from './finding';
import { hasRole } from '../../facts/catalogue/roles';
import { isCable, isController } from '../../facts/catalogue/kinds';
import { lookUp } from '../../facts/terms/lookUp';

const name = 'wrong kind of pad';
/** Kinds of port that belong together. */
const mates: Readonly<Record<string, readonly string[]>> = {
  serial: ['serial', 'escData'],
  escData: ['escData', 'serial'],
};

export const wrongKindOfPad: Rule = {
  name,
  why: 'Pads look alike and lie side by side; a signal only works on a pad of its own kind.',
  judge: (view) => view.joined.flatMap((net) => wrongOn(view, net)),
};

function wrongOn(view: RuleView, net: Net): Finding[] {
  const here = portsOn(view, net).filter(({ ref }) => !onRail(view, net, ref));
  return here.flatMap((a) => {
    const others = net.terminals.filter((ref) => splitRef(ref).slot !== a.slot && !passesOn(view, ref));
    const suits = (ref: TerminalRef) => {
      const b = portOf(view, ref);
      return b !== null && (lookUp(mates, a.port.kind) ?? [a.port.kind]).includes(b.port.kind);
    };
    // A partner that is a rail of its own part, like the plus pad of a buzzer, brings that rail's other parts with it.
    const odd = others.some((other) => suits(other) && onRail(view, net, other))
      ? undefined
      : others.find((ref) => !suits(ref));
    // Told once, from the port's side; two ports of different kinds tell it from the first.
    const b = odd && portOf(view, odd);
    if (!odd || (b && a.ref > odd)) return [];
    const supply = hasRole(view.terminal(odd), 'supply') || hasRole(view.terminal(odd), 'ground');
    const severityOf = () => {
      if (supply && a.port.kind === 'motorPhase') return 'kill';
      if (restsOnGround(view, net, a, odd)) return 'warn';
      return 'stop';
    };
    const severity = severityOf();
    return [
      finding(view, {
        rule: name,
        severity,
        net,
        at: [a.ref, odd],
        message: `${spoken(view, a.ref)} is joined to ${spoken(view, odd)}, which is for something else.`,
      }),
    ];
  });
}

/** A contact of a cable is for whatever its other end is in. */
function passesOn(view: RuleView, ref: TerminalRef): boolean {
  return isCable(view.assembly.model(splitRef(ref).slot)!.kind);
}

/** A pad of a board to which only ground is joined does no good there, and no harm as long as nothing drives it. */
function restsOnGround(view: RuleView, net: Net, { ref, slot }: PortAt, odd: TerminalRef): boolean {
  const board = isController(view.assembly.model(slot)!.kind);
  return (
    board &&
    hasRole(view.terminal(odd), 'ground') &&
    portsOn(view, net).every((other) => other.ref === ref || onRail(view, net, other.ref))
  );
}

/** A port's pin that is a rail inside its own part, like the plus pad of a buzzer. */
function onRail(view: RuleView, net: Net, ref: TerminalRef): boolean {
  const { slot } = splitRef(ref);
  const isRail = (other: TerminalRef) =>
    hasRole(view.terminal(other), 'supply') || hasRole(view.terminal(other), 'ground');
  return net.terminals.some(
    (other) => splitRef(other).slot === slot && view.terminal(other).node === view.terminal(ref).node && isRail(other),
  );
}
