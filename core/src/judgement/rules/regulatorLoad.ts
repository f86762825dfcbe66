/** A regulator that gives more than it can, at typical or at peak load. */
import type { Rail } from '../../physics/loads/supplyTree';
import { planShare, railWords } from '../../physics/loads/supplyTree';
import type { Rule, RuleView } from './finding';
import { finding } from './finding';
import { railRegulator } from './railRegulator';
import { fliesOnIt } from '../../facts/catalogue/kinds';

const name = 'regulator load';

export const regulatorLoad: Rule = {
  name,
  why: 'Nobody adds up what hangs on the 5 V pads. Overloaded a regulator sags, and when the controller hangs on it the aircraft falls.',
  judge: (view) =>
    view.tree.rails.flatMap((rail) => {
      const regulator = railRegulator(view, rail);
      const ref = regulator?.output ?? regulator?.input;
      if (!ref || rail.limitA === null) return [];
      const found = (severity: 'stop' | 'warn', message: string) => [
        finding(view, { rule: name, severity, net: view.nets.netOf(ref)!, at: [ref], message }),
      ];
      const { typical, peak } = {
        typical: Math.max(rail.out.empty.typical, rail.out.full.typical),
        peak: Math.max(rail.out.empty.peak, rail.out.full.peak),
      };
      const words = railWords(rail, view.tree.rails);
      const of = `${words} gives ${rail.limitA} A at most`;
      if (typical > rail.limitA) return found('stop', `${of} and would carry ${typical.toFixed(2)} A.`);
      if (peak > rail.limitA)
        return found(feedsFlight(view, rail) ? 'stop' : 'warn', `${of}; peaks reach ${peak.toFixed(2)} A.`);
      if (typical > rail.limitA * planShare)
        return found('warn', `${of}; ${typical.toFixed(2)} A is over three quarters of it.`);
      if (typical > (rail.stillAirA ?? Infinity))
        return found('warn', `${words} gives ${rail.stillAirA} A in still air; ${typical.toFixed(2)} A needs airflow.`);
      return [];
    }),
};

/** True when a controller or receiver lives on the rail or behind it. */
function feedsFlight(view: RuleView, rail: Rail): boolean {
  if (rail.draws.some(({ slot }) => fliesOnIt(view.assembly.model(slot)!.kind))) return true;
  return view.tree.rails.some((child) => child.parent === rail.id && feedsFlight(view, child));
}
