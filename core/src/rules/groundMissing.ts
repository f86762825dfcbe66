/** A powered part without a ground of its own: on battery volts its current finds a way through signal pins. */
import { mainLeads } from '../checks/continuityTouches';
import { hasRole } from '../checks/reach';
import { modelIn } from '../catalogue/catalogue';
import { terminalRef } from '../names';
import type { Rule } from './finding';
import { finding, spoken } from './finding';

export const groundMissing: Rule = (view) => {
  const leads = mainLeads(view.build, view.catalogue);
  if (!leads) return [];
  const ground = view.nets.netOf(leads.minus);
  return Object.keys(view.build.slots).flatMap((slot) => {
    const { terminals } = modelIn(view.build, slot, view.catalogue)!;
    const feeds = terminals
      .map(({ id }) => terminalRef(slot, id))
      .filter((ref) => view.terminal(ref).roles.some((role) => role.is === 'supply' && role.dir === 'takes') && view.sources.has(view.nets.netOf(ref)!));
    const grounds = terminals.filter((terminal) => hasRole(terminal, 'ground')).map(({ id }) => terminalRef(slot, id));
    const [feed, own] = [feeds[0], grounds[0]];
    if (!feed || !own || grounds.some((ref) => view.nets.netOf(ref) === ground)) return [];
    const volts = Math.max(...view.sources.get(view.nets.netOf(feed)!)!.map((source) => source.volts[1]));
    const says = `${slot} is fed on ${spoken(view, feed)} but has no ground: its current would return through signal wires.`;
    return [finding(view, 'ground missing', volts > 6 ? 'kill' : 'stop', view.nets.netOf(own)!, [own], says)];
  });
};
