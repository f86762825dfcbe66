/** Transmit goes to receive and receive to transmit, on the same port; a signal pin never goes to another kind of pad. */
import type { TerminalRef } from '../names';
import { splitRef } from '../names';
import type { Finding, Rule, RuleView } from './finding';
import { finding, portOf, spoken } from './finding';

/** Kinds of port that belong together. */
const mates: Readonly<Record<string, readonly string[]>> = { serial: ['serial', 'escData'], escData: ['escData', 'serial'] };

export const crossing: Rule = (view) => [...straight(view), ...wrongKind(view), ...splitPairs(view)];

function ports(view: RuleView, net: RuleView['joined'][number]) {
  return net.terminals.flatMap((ref) => {
    const at = portOf(view, ref);
    return at ? [{ ref, ...at }] : [];
  });
}

function straight(view: RuleView): Finding[] {
  return view.joined.flatMap((net) => {
    const serial = ports(view, net).filter(({ port }) => port.kind === 'serial' || port.kind === 'escData');
    return serial.flatMap((a, index) =>
      serial.slice(index + 1).flatMap((b) => {
        if (a.slot === b.slot || a.pin !== b.pin) return [];
        const word = a.pin === 'tx' ? 'Transmit is on transmit' : 'Receive is on receive';
        return [finding(view, 'crossing', 'stop', net, [a.ref, b.ref], `${word}: ${spoken(view, a.ref)} with ${spoken(view, b.ref)}. Swap the two data wires.`)];
      }),
    );
  });
}

function wrongKind(view: RuleView): Finding[] {
  return view.joined.flatMap((net) => {
    const here = ports(view, net).filter(({ ref }) => !onRail(view, net, ref));
    return here.flatMap((a) => {
      const others = net.terminals.filter((ref) => splitRef(ref).slot !== splitRef(a.ref).slot);
      const suits = (ref: TerminalRef) => {
        const b = portOf(view, ref);
        return b !== null && (mates[a.port.kind] ?? [a.port.kind]).includes(b.port.kind);
      };
      // A partner that is a rail of its own part, like the plus pad of a buzzer, brings that rail's other parts with it.
      const odd = others.some((other) => suits(other) && onRail(view, net, other)) ? undefined : others.find((ref) => !suits(ref));
      // Told once, from the port's side; two ports of different kinds tell it from the first.
      const b = odd && portOf(view, odd);
      if (!odd || (b && a.ref > odd)) return [];
      const severity = view.terminal(odd).roles.some((role) => role.is === 'supply' || role.is === 'ground') && a.port.kind === 'motorPhase' ? 'kill' : 'stop';
      return [finding(view, 'wrong kind of pad', severity, net, [a.ref, odd], `${spoken(view, a.ref)} is joined to ${spoken(view, odd)}, which is for something else.`)];
    });
  });
}

/** A port's pin that is a rail inside its own part, like the plus pad of a buzzer. */
function onRail(view: RuleView, net: RuleView['joined'][number], ref: TerminalRef): boolean {
  const { slot } = splitRef(ref);
  const isRail = (other: TerminalRef) => view.terminal(other).roles.some((role) => role.is === 'supply' || role.is === 'ground');
  return net.terminals.some((other) => splitRef(other).slot === slot && view.terminal(other).node === view.terminal(ref).node && isRail(other));
}

/** The two data wires of one port must reach one port on the other side. */
function splitPairs(view: RuleView): Finding[] {
  const partners = new Map<string, { ref: string; partner: string }[]>();
  for (const net of view.joined) {
    const serial = ports(view, net).filter(({ port }) => port.kind === 'serial');
    for (const a of serial) {
      for (const b of serial) {
        if (a.slot === b.slot || a.pin === b.pin) continue;
        const key = `${a.slot}/${a.port.id}`;
        partners.set(key, [...(partners.get(key) ?? []), { ref: a.ref, partner: `${b.slot}/${b.port.id}` }]);
      }
    }
  }
  return [...partners].flatMap(([, seen]) => {
    const other = seen.find(({ partner }) => partner !== seen[0]!.partner);
    const device = seen[0]!.partner.split('/')[0] === other?.partner.split('/')[0];
    if (!other || !device) return [];
    const [a, b] = [seen[0]!.ref, other.ref] as [`${string}.${string}`, `${string}.${string}`];
    const says = `The two data wires go to different ports: ${seen[0]!.partner.replace('/', ' ')} and ${other.partner.replace('/', ' ')}.`;
    return [finding(view, 'split port', 'stop', view.nets.netOf(a)!, [a, b], says)];
  });
}
