/** A capacitor where it does its work: both legs on the rail that the pack feeds. */
import { isCapacitor } from '../../facts/catalogue/kinds';
import { terminalRef } from '../../facts/terms/names';
import type { Finding, Rule, RuleView } from './finding';
import { finding } from './finding';

const name = 'capacitor place';

export const capacitorPlace: Rule = {
  name,
  why: 'The capacitor takes the spikes of motors and plug from the pack’s rail. Behind a regulator, or with one leg open, it takes none.',
  judge: (view) => Object.keys(view.assembly.build.slots).flatMap((slot) => judgeSlot(view, slot)),
};

function judgeSlot(view: RuleView, slot: string): Finding[] {
  const model = view.assembly.model(slot)!;
  if (!isCapacitor(model)) return [];
  return model.elements.flatMap((element): Finding[] => {
    if (element.is !== 'capacitor') return [];
    const at = (node: string) => model.terminals.find((one) => one.node === node);
    const [plus, minus] = [at(element.plus), at(element.minus)];
    if (!plus || !minus) return [];
    const refs = [plus, minus].map(({ id }) => terminalRef(slot, id));
    const nets = refs.map((ref) => view.nets.netOf(ref)!);
    const joined = nets.map((net) => view.joined.includes(net) && net.terminals.some((ref) => !refs.includes(ref)));
    const said = (which: number, message: string) => [
      finding(view, { rule: name, severity: 'warn', net: nets[which]!, at: [refs[which]!], message }),
    ];
    if (joined[0] !== joined[1]) {
      const open = joined[0] ? 1 : 0;
      return said(open, `One leg of ${slot} is open: it is as good as missing.`);
    }
    const sources = view.sources.get(nets[0]!) ?? [];
    if (sources.length === 0 || sources.some(({ from }) => from === 'battery')) return [];
    return said(
      0,
      `${slot} is on ${sources[0]!.slot} ${sources[0]!.from}, behind a regulator: the pack’s rail has none of it.`,
    );
  });
}
