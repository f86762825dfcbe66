/**
 * Outputs go to inputs, and like pins to like pins: camera in and video out exchanged, buzzer or bus wires exchanged.
 */
import type { PortKind } from '../../facts/catalogue/partModel';
import type { Net } from '../../facts/wiring/netlist';
import type { Finding, PortAt, Rule, RuleView } from './finding';
import { finding, portsOn, spoken } from './finding';

const name = 'direction';
/** Kinds with one output and its inputs. */
const oneWay: readonly PortKind[] = ['video', 'lights', 'sense', 'strength', 'motorSignal'];
/** Kinds whose pins go to the pin of the same name. */
const likePins: readonly PortKind[] = ['buzzer', 'i2c', 'usb'];

export const direction: Rule = {
  name,
  why: 'Camera goes to the pad marked in, transmitter to the pad marked out; exchanged they give a blank picture. The same holds for lights, buzzers and the compass bus.',
  judge: (view) => view.joined.flatMap((net) => [...wrongWay(view, net), ...unlike(view, net)]),
};

function pairs(view: RuleView, net: Net, kinds: readonly PortKind[]): [PortAt, PortAt][] {
  const ports = portsOn(view, net).filter(({ port }) => kinds.includes(port.kind));
  return ports.flatMap((a, index) =>
    ports
      .slice(index + 1)
      .filter((b) => b.slot !== a.slot && b.port.kind === a.port.kind)
      .map((b): [PortAt, PortAt] => [a, b]),
  );
}

function wrongWay(view: RuleView, net: Net): Finding[] {
  return pairs(view, net, oneWay).flatMap(([a, b]) => {
    const oneGives = portsOn(view, net).some(({ port, pin }) => port.kind === a.port.kind && pin === 'out');
    if (a.pin !== b.pin || (a.pin === 'in' && oneGives)) return [];
    const message =
      a.pin === 'in'
        ? `${spoken(view, a.ref)} and ${spoken(view, b.ref)} are both inputs: nothing sends.`
        : `${spoken(view, a.ref)} and ${spoken(view, b.ref)} both send.`;
    return [finding(view, { rule: name, severity: 'stop', net, at: [a.ref, b.ref], message })];
  });
}

function unlike(view: RuleView, net: Net): Finding[] {
  return pairs(view, net, likePins).flatMap(([a, b]) =>
    a.pin === b.pin
      ? []
      : [
          finding(view, {
            rule: name,
            severity: 'stop',
            net,
            at: [a.ref, b.ref],
            message: `${spoken(view, a.ref)} is on ${spoken(view, b.ref)}: the two wires are exchanged.`,
          }),
        ],
  );
}
