/** A rail that something must switch on first, and what hangs on it. */
import { fliesOnIt } from '../../facts/catalogue/kinds';
import { terminalRef } from '../../facts/terms/names';
import type { Slot } from '../../facts/terms/names';
import type { Rail } from '../../physics/loads/supplyTree';
import { railWords } from '../../physics/loads/supplyTree';
import type { Finding, Rule, RuleView } from './finding';
import { finding } from './finding';

const name = 'not switched on';

export const notSwitchedOn: Rule = {
  name,
  why: 'A regulator with an enable pad gives nothing until that pad is driven, and one that software switches gives nothing until the software runs: what must live before it stays dead.',
  judge: (view) =>
    view.tree.rails.flatMap((rail): Finding[] => {
      const { slot } = rail;
      const model = slot ? view.assembly.model(slot) : null;
      const element = model?.elements.find(({ id }) => `${slot}/${id}` === rail.id);
      if (!slot || !model || element?.is !== 'regulator' || element.enable === 'always') return [];
      const terminal = model.terminals.find(({ node }) => node === element.output);
      const fedParts = [...fedBy(view, rail)].filter((part) => part !== slot);
      if (!terminal || fedParts.length === 0) return [];
      const words = railWords(rail, view.tree.rails);
      const at = [terminalRef(slot, terminal.id)];
      const said = (message: string) => [
        finding(view, { rule: name, severity: 'stop', net: view.nets.netOf(at[0]!)!, at, message }),
      ];
      if (element.enable !== 'software')
        return isDriven(view, slot, element.enable)
          ? []
          : said(`${words} stays off: nothing is on its enable pad, and on it hang ${fedParts.join(', ')}.`);
      const before = fedParts.filter((part) => fliesOnIt(view.assembly.model(part)!.kind));
      return before.length === 0
        ? []
        : said(
            `${words} comes only when the controller's software switches it: ${before.join(', ')} must live before.`,
          );
    }),
};

/** The parts that hang on a rail, by their loads or by regulators of their own. */
function fedBy(view: RuleView, rail: Rail): ReadonlySet<Slot> {
  const below = view.tree.rails.filter(({ parent }) => parent === rail.id);
  return new Set([
    ...rail.draws.map(({ slot }) => slot),
    ...below.flatMap((child) => (child.slot ? [child.slot, ...fedBy(view, child)] : [])),
  ]);
}

/** Something that gives volts is on the enable conductor: another part, or a supply. */
function isDriven(view: RuleView, slot: string, node: string): boolean {
  const pad = view.assembly.model(slot)!.terminals.find((one) => one.node === node);
  const net = pad && view.nets.netOf(terminalRef(slot, pad.id));
  // A conductor that shows nowhere is the board's own affair.
  if (!net) return true;
  return view.sources.has(net) || view.drives.has(net);
}
