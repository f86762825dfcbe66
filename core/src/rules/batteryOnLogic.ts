/** More volts on a terminal than it withstands. Too fast for any limiter: caught here and by probe. */
import { hasRole } from '../checks/reach';
import type { Rule } from './finding';
import { finding, spoken } from './finding';

export const batteryOnLogic: Rule = (view) =>
  view.joined.flatMap((net) =>
    (view.sources.get(net) ?? []).flatMap((source) =>
      net.terminals
        .filter((ref) => !hasRole(view.terminal(ref), 'ground') && source.volts[1] > view.terminal(ref).withstandV[1])
        .map((ref) => {
          const { withstandV } = view.terminal(ref);
          const says = `${spoken(view, ref)} withstands ${withstandV[1]} V and would get ${source.volts[1].toFixed(1)} V from ${source.slot} (${source.from}).`;
          return finding(view, 'battery on logic', 'kill', net, [ref], says);
        }),
    ),
  );
