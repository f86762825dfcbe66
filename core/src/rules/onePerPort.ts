/** One function per port: a receiver and its own telemetry count as one. */
import type { Rule } from './finding';
import { finding, portOf, spoken } from './finding';

export const onePerPort: Rule = (view) => {
  const users = new Map<string, { ref: `${string}.${string}`; slot: string }[]>();
  for (const net of view.joined) {
    const ports = net.terminals.flatMap((ref) => {
      const at = portOf(view, ref);
      return at && at.port.kind === 'serial' ? [{ ref, ...at }] : [];
    });
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
    const says = `Two parts share one port: ${seen[0]!.slot} and ${second.slot} both use ${spoken(view, second.ref)}.`;
    return [finding(view, 'one function per port', 'stop', view.nets.netOf(second.ref)!, [seen[0]!.ref, second.ref], says)];
  });
};
