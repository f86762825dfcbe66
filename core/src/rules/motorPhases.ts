/** The three leads of a motor go to the three phases of one channel, one each, in any order. */
import { modelIn } from '../catalogue/catalogue';
import type { TerminalRef } from '../names';
import type { Rule } from './finding';
import { finding, portOf, spoken } from './finding';

export const motorPhases: Rule = (view) => {
  const channels = new Map<string, { ref: TerminalRef; pad: TerminalRef; channel: string; pin: string }[]>();
  for (const net of view.joined) {
    const phases = net.terminals.flatMap((ref) => {
      const at = portOf(view, ref);
      return at?.port.kind === 'motorPhase' ? [{ ref, ...at }] : [];
    });
    const leads = phases.filter(({ port }) => port.way === 'takes');
    const pads = phases.filter(({ port }) => port.way === 'gives');
    for (const lead of leads) {
      for (const pad of pads) {
        channels.set(lead.slot, [...(channels.get(lead.slot) ?? []), { ref: lead.ref, pad: pad.ref, channel: `${pad.slot}/${pad.port.id}`, pin: pad.pin }]);
      }
    }
  }
  return [...channels].flatMap(([slot, leads]) => {
    const count = (channel: string) => leads.filter((lead) => lead.channel === channel).length;
    const home = leads.reduce((best, lead) => (count(lead.channel) > count(best.channel) ? lead : best)).channel;
    const astray = leads.find(({ channel }) => channel !== home);
    if (astray) {
      const says = `A lead of ${slot} is on another motor's channel: ${spoken(view, astray.pad)}.`;
      return [finding(view, 'motor phases', 'stop', view.nets.netOf(astray.pad)!, [astray.ref, astray.pad], says)];
    }
    const twice = leads.find((lead, index) => leads.slice(0, index).some(({ pad, ref }) => pad === lead.pad && ref !== lead.ref));
    const lead = leads[0]!;
    const want = modelIn(view.build, slot, view.catalogue)!.tails.length;
    if (!twice && leads.length < want) {
      return [finding(view, 'motor phases', 'stop', view.nets.netOf(lead.pad)!, [lead.ref, lead.pad], `Only ${leads.length} of the ${want} leads of ${slot} reach a phase.`)];
    }
    if (!twice) return [];
    return [finding(view, 'motor phases', 'stop', view.nets.netOf(twice.pad)!, [twice.ref, twice.pad], `Two leads of ${slot} share ${spoken(view, twice.pad)}.`)];
  });
};
