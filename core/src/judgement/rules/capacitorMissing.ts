/** What switches the pack's current wants a capacitor beside it, where its sheet says so. */
import type { Slot } from '../../facts/terms/names';
import { splitRef, terminalRef } from '../../facts/terms/names';
import { isCapacitor } from '../../facts/catalogue/kinds';
import type { Net } from '../../facts/wiring/netlist';
import type { Finding, Rule, RuleView } from './finding';
import { feedsOf, finding, spoken } from './finding';

const name = 'capacitor missing';
const micro = 1e6;

export const capacitorMissing: Rule = {
  name,
  why: 'The spikes of plug and motors go through the transistors when nothing takes them up: a sheet that wants a capacitor was written after boards had burnt.',
  judge: (view) => Object.keys(view.assembly.build.slots).flatMap((slot) => judgeSlot(view, slot)),
};

function judgeSlot(view: RuleView, slot: Slot): Finding[] {
  const wanted = view.assembly.model(slot)!.wantsCapacitor?.farads;
  const ref = feedsOf(view, slot).find((feed) =>
    view.sources.get(view.nets.netOf(feed)!)!.some(({ from }) => from === 'battery'),
  );
  if (!wanted || !ref) return [];
  const net = view.nets.netOf(ref)!;
  const farads = outside(view, net);
  const said = (severity: Finding['severity'], message: string) => [
    finding(view, { rule: name, severity, net, at: [ref], message }),
  ];
  const wants = `${spoken(view, ref)} wants ${(wanted * micro).toFixed(0)} µF on the pack’s rail`;
  // One that is wired wrongly is another rule's.
  if (farads === 0) return anyWired(view) ? [] : said('stop', `${wants}; there is none.`);
  return farads < wanted * (1 - 1e-9) ? said('warn', `${wants}; there are ${(farads * micro).toFixed(0)} µF.`) : [];
}

function anyWired(view: RuleView): boolean {
  return view.joined.some(({ terminals }) =>
    terminals.some((ref) => isCapacitor(view.assembly.model(splitRef(ref).slot)!)),
  );
}

/** Farads of the capacitors that stand on a rail, with their other leg on what is a ground. */
function outside(view: RuleView, rail: Net): number {
  return Object.keys(view.assembly.build.slots).reduce((farads, slot) => {
    const model = view.assembly.model(slot)!;
    if (!isCapacitor(model)) return farads;
    const netAt = (node: string) => {
      const leg = model.terminals.find((one) => one.node === node);
      return leg && view.nets.netOf(terminalRef(slot, leg.id));
    };
    return model.elements.reduce((sum, element) => {
      if (element.is !== 'capacitor' || netAt(element.plus) !== rail) return sum;
      const minus = netAt(element.minus);
      return minus && view.joined.includes(minus) ? sum + element.farads : sum;
    }, farads);
  }, 0);
}
