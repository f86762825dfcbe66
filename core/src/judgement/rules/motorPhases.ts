/** The leads of a motor go to the phases of one channel, one each, in any order. */
import type { Slot, TerminalRef } from '../../facts/terms/names';
import type { Finding, Rule, RuleView } from './finding';
import { finding, portsOn, spoken } from './finding';

const name = 'motor phases';

/** One lead and the phases on its net; plus of brushed motors is common to all channels. */
interface Lead {
  ref: TerminalRef;
  pads: readonly { ref: TerminalRef; channel: string }[];
}

export const motorPhases: Rule = {
  name,
  why: 'Which lead goes to which phase only sets the turning sense; but all must be on one channel, each on its own phase, or the motor stutters and burns.',
  judge: (view) => [...leadsByMotor(view)].flatMap(([slot, leads]) => judgeMotor(view, slot, leads)),
};

function leadsByMotor(view: RuleView): Map<Slot, Lead[]> {
  const motors = new Map<Slot, Lead[]>();
  for (const net of view.joined) {
    const phases = portsOn(view, net).filter(({ port }) => port.kind === 'motorPhase');
    const pads = phases
      .filter(({ port }) => port.way === 'gives')
      .map(({ ref, slot, port }) => ({ ref, channel: `${slot}/${port.id}` }));
    if (pads.length === 0) continue;
    for (const { slot, ref } of phases.filter(({ port }) => port.way === 'takes'))
      motors.set(slot, [...(motors.get(slot) ?? []), { ref, pads }]);
  }
  return motors;
}

function judgeMotor(view: RuleView, slot: Slot, leads: readonly Lead[]): Finding[] {
  const found = (at: readonly TerminalRef[], message: string) => [
    finding(view, { rule: name, severity: 'stop', net: view.nets.netOf(at[0]!)!, at, message }),
  ];
  const count = (channel: string) => leads.filter(({ pads }) => pads.some((pad) => pad.channel === channel)).length;
  const home = leads
    .flatMap(({ pads }) => pads)
    .reduce((best, pad) => (count(pad.channel) > count(best.channel) ? pad : best)).channel;
  const astray = leads.find(({ pads }) => !pads.some(({ channel }) => channel === home));
  if (astray)
    return found(
      [astray.ref, astray.pads[0]!.ref],
      `A lead of ${slot} is on another motor’s channel: ${spoken(view, astray.pads[0]!.ref)}.`,
    );
  const padOf = ({ pads }: Lead) => pads.find(({ channel }) => channel === home)!.ref;
  const twice = leads.find((lead, index) =>
    leads.slice(0, index).some((other) => view.nets.netOf(other.ref) === view.nets.netOf(lead.ref)),
  );
  if (twice) return found([twice.ref, padOf(twice)], `Two leads of ${slot} share ${spoken(view, padOf(twice))}.`);
  const want = view.assembly.model(slot)!.tails.length;
  const lead = leads[0]!;
  if (leads.length < want)
    return found([lead.ref, padOf(lead)], `Only ${leads.length} of the ${want} leads of ${slot} reach a phase.`);
  return [...wrongChannel(view, slot, padOf(lead), home), ...brushed(view, slot, leads)];
}

/** Outputs follow wires: a motor on another channel than its corner's. */
function wrongChannel(view: RuleView, slot: Slot, pad: TerminalRef, home: string): Finding[] {
  const link = view.links.find(
    ({ ends }) =>
      ends.some((end) => end.slot === slot) && ends.some((end) => view.assembly.model(end.slot)?.kind !== 'motor'),
  );
  const meant = link?.ends.find((end) => end.slot !== slot);
  if (!meant || home === `${meant.slot}/${meant.port}`) return [];
  return [
    finding(view, {
      rule: 'motor outputs',
      severity: 'stop',
      net: view.nets.netOf(pad)!,
      at: [pad],
      message: `${slot} is on ${home.replace('/', ' ')} and belongs to ${meant.slot} ${meant.port}: the wrong corner would spin.`,
    }),
  ];
}

/** A brushed motor turns the other way when its two leads are exchanged. */
function brushed(view: RuleView, slot: Slot, leads: readonly Lead[]): Finding[] {
  if (leads.length !== 2) return [];
  const pinAt = (ref: TerminalRef) => portsOn(view, view.nets.netOf(ref)!).find((portAt) => portAt.ref === ref)!.pin;
  const turned = leads.find(({ ref, pads }) => pads.every((pad) => pinAt(ref) !== pinAt(pad.ref)));
  return turned
    ? [
        finding(view, {
          rule: name,
          severity: 'warn',
          net: view.nets.netOf(turned.ref)!,
          at: [turned.ref],
          message: `The two leads of ${slot} are exchanged: it turns the other way.`,
        }),
      ]
    : [];
}
