/** What the plan wires for a purpose must really meet, in every direction that both ends have. */
import type { PortPin } from '../../facts/catalogue/partModel';
import type { Link } from '../../facts/plan/plan';
import type { Finding, Rule, RuleView } from './finding';
import { finding, pinOf, portOf, portsOn, spoken } from './finding';
import { lookUp } from '../../facts/terms/lookUp';

const name = 'link open';
/** Which pin hears what. */
const partner: Readonly<Partial<Record<PortPin, PortPin>>> = {
  tx: 'rx',
  rx: 'tx',
  out: 'in',
  in: 'out',
  minus: 'minus',
  sda: 'sda',
  scl: 'scl',
};
const padWord: Readonly<Partial<Record<PortPin, string>>> = {
  rx: 'a receive pad',
  tx: 'a transmit pad',
  in: 'an input',
  out: 'an output',
  minus: 'the minus pad',
  sda: 'SDA',
  scl: 'SCL',
};
/** Here the number of the port is the corner of the aircraft. */
const numbered = ['motorSignal'];

export const linkOpen: Rule = {
  name,
  why: 'Each wire of the plan is there for a purpose. When its two ends do not meet, the part is fed and silent.',
  judge: (view) => view.links.flatMap((link) => openIn(view, link)),
};

function openIn(view: RuleView, { id, purpose, ends }: Link): Finding[] {
  const [own, other] = ends;
  if (!own || !other || !lookUp(view.assembly.build.slots, own.slot) || !lookUp(view.assembly.build.slots, other.slot))
    return [];
  for (const end of [own, other]) {
    if (view.assembly.model(end.slot)!.ports.some((port) => port.id === end.port)) continue;
    return [
      {
        key: `${name}:${id}:${end.slot}`,
        rule: name,
        severity: 'stop',
        at: [],
        wires: [],
        message: `${purpose}: the part in ${end.slot} has no port ${end.port}.`,
      },
    ];
  }
  if (noMotor(view, own, other))
    return [
      {
        key: `${name}:${id}`,
        rule: name,
        severity: 'stop',
        at: [],
        wires: [],
        message: `${purpose}: no lead of ${own.slot} reaches ${other.slot}.`,
      },
    ];
  return (['tx', 'rx', 'out', 'in', 'minus', 'sda', 'scl'] as const).flatMap((pin): Finding[] => {
    const wanted = partner[pin]!;
    const ref = pinOf(view, own.slot, own.port, pin);
    const meant = pinOf(view, other.slot, other.port, wanted);
    if (!ref || !meant || ['aerial', 'motorPhase'].includes(portOf(view, ref)!.port.kind)) return [];
    const net = view.nets.netOf(ref)!;
    const kind = portOf(view, ref)!.port.kind;
    const met = portsOn(view, net).find(
      (portAt) => portAt.slot === other.slot && portAt.pin === wanted && portAt.port.kind === kind,
    );
    if (!met)
      return [
        finding(view, {
          rule: name,
          severity: 'stop',
          net,
          at: [ref],
          message: `${purpose}: ${spoken(view, ref)} does not reach ${padWord[wanted]} of ${other.slot}.`,
        }),
      ];
    if (met.port.id === other.port || view.nets.netOf(meant) === net) return [];
    if (numbered.includes(kind))
      return [
        finding(view, {
          rule: 'motor outputs',
          severity: 'stop',
          net,
          at: [ref, met.ref],
          message: `${purpose}: ${spoken(view, ref)} meets ${spoken(view, met.ref)} and belongs to ${spoken(view, meant)}; the wrong corner would spin.`,
        }),
      ];
    return [
      finding(view, {
        rule: 'port not as named',
        severity: 'warn',
        net,
        at: [ref, met.ref],
        message: `${purpose}: wired to ${other.slot} ${met.port.id}, planned as ${other.port}. The set-up sheet follows the plan.`,
      }),
    ];
  });
}

/** A motor none of whose leads is on the part that drives it. */
function noMotor(view: RuleView, own: Link['ends'][number], other: Link['ends'][number]): boolean {
  const model = view.assembly.model(own.slot)!;
  if (model.kind !== 'motor') return false;
  return !model.terminals.some(({ id }) =>
    portsOn(view, view.nets.netOf(`${own.slot}.${id}`)!).some(
      (portAt) => portAt.slot === other.slot && portAt.port.kind === 'motorPhase',
    ),
  );
}
