/** A rail that something must switch on first, and what hangs on it. */
import { fliesOnIt } from '../../facts/catalogue/kinds';
import { terminalRef } from '../../facts/terms/names';
import type { Finding, Rule, RuleView } from './finding';
import { finding } from './finding';
import { switchedRails } from './switchedRails';

const name = 'not switched on';

export const notSwitchedOn: Rule = {
  name,
  why: 'A regulator with an enable pad gives nothing until that pad is driven, and one that software switches gives nothing until the software runs: what must live before it stays dead.',
  judge: (view) =>
    switchedRails(view).flatMap(({ words, slot, at, enable, feeds }): Finding[] => {
      const said = (message: string) => [
        finding(view, { rule: name, severity: 'stop', net: view.nets.netOf(at)!, at: [at], message }),
      ];
      if (enable !== 'software')
        return isDriven(view, slot, enable)
          ? []
          : said(`${words} stays off: nothing is on its enable pad, and on it hang ${feeds.join(', ')}.`);
      const before = feeds.filter((part) => fliesOnIt(view.assembly.model(part)!.kind));
      return before.length === 0
        ? []
        : said(
            `${words} comes only once the controller’s software switches it on: ${before.join(', ')} must live before that, on a rail that is always on.`,
          );
    }),
};

/** Something that gives volts is on the enable conductor: another part, or a supply. */
function isDriven(view: RuleView, slot: string, node: string): boolean {
  const pad = view.assembly.model(slot)!.terminals.find((one) => one.node === node);
  const net = pad && view.nets.netOf(terminalRef(slot, pad.id));
  // A conductor that shows nowhere is the board's own affair.
  if (!net) return true;
  return view.sources.has(net) || view.drives.has(net);
}
