/** More volts on a terminal than it withstands. Too fast for any limiter: caught here and by probe. */
import { splitRef } from '../../facts/terms/names';
import type { Finding, Rule, RuleView } from './finding';
import { finding, spoken } from './finding';
import { hasRole } from '../../facts/catalogue/roles';

const name = 'battery on logic';

export const tooManyVolts: Rule = {
  name,
  why: 'A pin dies in microseconds when it gets more than it withstands; no lamp, fuse or breaker is that quick.',
  judge: (view) => [...fromSupplies(view), ...fromPins(view)],
};

function fromSupplies(view: RuleView): Finding[] {
  return view.joined.flatMap((net) =>
    (view.sources.get(net) ?? []).flatMap((source) =>
      net.terminals
        .filter((ref) => !hasRole(view.terminal(ref), 'ground') && source.volts[1] > view.terminal(ref).withstandV[1])
        .map((ref) => {
          const message = `${spoken(view, ref)} withstands ${view.terminal(ref).withstandV[1]} V and would get ${source.volts[1].toFixed(1)} V from ${source.slot} (${source.from}).`;
          return finding(view, { rule: name, severity: 'kill', net, at: [ref], message });
        }),
    ),
  );
}

/** A signal pin of higher level, or a motor phase, on a pin that does not bear it. */
function fromPins(view: RuleView): Finding[] {
  return view.joined.flatMap((net) =>
    (view.drives.get(net) ?? []).flatMap((drive) =>
      net.terminals
        .filter(
          (ref) =>
            splitRef(ref).slot !== splitRef(drive.ref).slot &&
            !hasRole(view.terminal(ref), 'ground') &&
            drive.volts > view.terminal(ref).withstandV[1],
        )
        .map((ref) => {
          const message = `${spoken(view, ref)} withstands ${view.terminal(ref).withstandV[1]} V; ${spoken(view, drive.ref)} drives ${drive.volts.toFixed(1)} V into it.`;
          return finding(view, { rule: name, severity: 'kill', net, at: [ref, drive.ref], message });
        }),
    ),
  );
}
