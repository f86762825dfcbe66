/** A signal that does not reach the level its input needs: 3.3 V data into a 5 V light strip. */
import type { Rule } from './finding';
import { finding, portsOn, spoken } from './finding';

const name = 'signal level';

export const signalLevel: Rule = {
  name,
  why: 'A 5 V light strip may not see 3.3 V data as high: colours flicker when it is warm. Level it, or lower the strip’s supply.',
  judge: (view) =>
    view.joined.flatMap((net) => {
      const ports = portsOn(view, net);
      const drives = (view.drives.get(net) ?? []).map(({ volts }) => volts);
      if (drives.length === 0) return [];
      return ports
        .filter(({ ref }) => (view.terminal(ref).needsHighV ?? 0) > Math.max(...drives))
        .map(({ ref }) => {
          const message = `${spoken(view, ref)} needs ${view.terminal(ref).needsHighV} V for high and gets ${Math.max(...drives)} V.`;
          return finding(view, { rule: name, severity: 'warn', net, at: [ref], message });
        });
    }),
};
