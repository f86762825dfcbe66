/** One function per port: a receiver and its own telemetry count as one. */
import type { Slot, TerminalRef } from '../../facts/terms/names';
import type { Rule } from './finding';
import { finding, portsOn, spoken } from './finding';

const name = 'one function per port';

export const onePerPort: Rule = {
  name,
  why: 'A port speaks one language at one speed. Two parts on it disturb each other, even when each has a wire of its own.',
  judge: (view) => {
    const users = new Map<string, { ref: TerminalRef; slot: Slot }[]>();
    for (const net of view.joined) {
      const ports = portsOn(view, net).filter(({ port }) => port.kind === 'serial');
      for (const own of ports) {
        for (const other of ports) {
          if (own.slot === other.slot) continue;
          const key = `${own.slot}/${own.port.id}`;
          users.set(key, [...(users.get(key) ?? []), { ref: own.ref, slot: other.slot }]);
        }
      }
    }
    return [...users.values()].flatMap((seen) => {
      const second = seen.find(({ slot }) => slot !== seen[0]!.slot);
      if (!second) return [];
      const message = `Two parts share one port: ${seen[0]!.slot} and ${second.slot} both use ${spoken(view, second.ref)}.`;
      return [
        finding(view, {
          rule: name,
          severity: 'stop',
          net: view.nets.netOf(second.ref)!,
          at: [seen[0]!.ref, second.ref],
          message,
        }),
      ];
    });
  },
};
