/** A supply below or above what a part takes, at both ends of the pack. */
import type { Rule } from './finding';
import { finding, spoken } from './finding';

const name = 'supply out of range';

export const supplyOutOfRange: Rule = {
  name,
  why: 'Each part takes a range of volts. Below it the part restarts in flight when the pack is nearly empty; above it it burns.',
  judge: (view) =>
    view.joined.flatMap((net) => {
      const sources = view.sources.get(net) ?? [];
      return net.terminals.flatMap((ref) => {
        const takes = view.terminal(ref).roles.find((role) => role.is === 'supply' && role.dir === 'takes');
        if (takes?.is !== 'supply') return [];
        const { withstandV } = view.terminal(ref);
        // What comes through a diode gives way to whatever else is there.
        const direct = sources.filter(({ diode }) => !diode);
        const holding = direct.length > 0 ? direct : sources;
        const low = holding.find((source) => source.volts[1] <= withstandV[1] && source.volts[0] < takes.volts[0]);
        if (low) {
          const message = `${spoken(view, ref)} wants at least ${takes.volts[0]} V; ${low.slot} (${low.from}) gives ${low.volts[0].toFixed(1)} V at its lowest.`;
          // Nominal it would do: only the regulator's own spread is against it.
          return [
            finding(view, {
              rule: name,
              severity: low.nominalV >= takes.volts[0] ? 'warn' : 'stop',
              net,
              at: [ref],
              message,
            }),
          ];
        }
        const high = sources.find((source) => source.volts[1] > takes.volts[1] && source.volts[1] <= withstandV[1]);
        if (!high) return [];
        const message = `${spoken(view, ref)} takes at most ${takes.volts[1]} V; ${high.slot} (${high.from}) gives up to ${high.volts[1].toFixed(1)} V.`;
        return [finding(view, { rule: name, severity: 'kill', net, at: [ref], message })];
      });
    }),
};
