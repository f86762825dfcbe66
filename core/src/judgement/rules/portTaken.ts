/** Ports that share a pin or a timer, and ports whose boot loader listens. */
import type { Finding, PortAt, Rule, RuleView } from './finding';
import { finding, portsOn, spoken } from './finding';

const name = 'port taken';

export const portTaken: Rule = {
  name,
  why: 'Some ports share a pin inside the chip, and some are listened to when the board starts: a talking module there can block flashing.',
  judge: (view) => {
    const used = usedPorts(view);
    return [...used.values()].flatMap((portAt) => [...excluded(view, portAt, used), ...bootLoader(view, portAt)]);
  },
};

function usedPorts(view: RuleView): Map<string, PortAt> {
  const used = new Map<string, PortAt>();
  for (const net of view.joined) {
    const ports = portsOn(view, net);
    for (const one of ports)
      if (ports.some((other) => other.slot !== one.slot && other.port.kind === one.port.kind))
        used.set(`${one.slot}/${one.port.id}`, one);
  }
  return used;
}

function excluded(view: RuleView, { slot, port, ref }: PortAt, used: ReadonlyMap<string, PortAt>): Finding[] {
  return port.excludes.flatMap((id) => {
    const other = used.get(`${slot}/${id}`);
    if (!other || port.id > id) return [];
    return [
      finding(view, {
        rule: name,
        severity: 'stop',
        net: view.nets.netOf(ref)!,
        at: [ref, other.ref],
        message: `${spoken(view, ref)} and ${spoken(view, other.ref)} share a pin inside ${slot}: only one can be used.`,
      }),
    ];
  });
}

function bootLoader(view: RuleView, { slot, port, ref, pin }: PortAt): Finding[] {
  if (pin !== 'rx' || !port.speaks.includes('bootLoader') || view.assembly.model(slot)!.kind === 'receiver') return [];
  return [
    finding(view, {
      rule: 'boot loader port',
      severity: 'warn',
      net: view.nets.netOf(ref)!,
      at: [ref],
      message: `${spoken(view, ref)} is listened to when ${slot} starts: unplug its part to flash over it.`,
    }),
  ];
}
