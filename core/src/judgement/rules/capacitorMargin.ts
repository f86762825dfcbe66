/** A capacitor's rating must exceed the full pack with room for the spike. */
import { terminalRef } from '../../facts/terms/names';
import { isCapacitor } from '../../facts/catalogue/kinds';
import type { Rule } from './finding';
import { finding } from './finding';

const name = 'capacitor margin';
/** Rule of thumb over the full pack. */
const marginShare = 1.25;

export const capacitorMargin: Rule = {
  name,
  why: 'The volts overshoot when a pack is plugged in and when motors brake: a capacitor wants 1.25 times the full pack.',
  judge: (view) =>
    Object.keys(view.assembly.build.slots).flatMap((slot) => {
      const model = view.assembly.model(slot)!;
      if (!isCapacitor(model)) return [];
      return model.elements.flatMap((element) => {
        const plus = element.is === 'capacitor' ? model.terminals.find(({ node }) => node === element.plus) : undefined;
        const net = plus && view.nets.netOf(terminalRef(slot, plus.id));
        const volts = Math.max(0, ...(net ? (view.sources.get(net) ?? []) : []).map((source) => source.volts[1]));
        if (element.is !== 'capacitor' || !plus || !net || element.ratedV >= volts * marginShare) return [];
        const message = `${slot} is rated ${element.ratedV} V; ${volts.toFixed(1)} V wants at least ${(volts * marginShare).toFixed(0)} V.`;
        return [finding(view, { rule: name, severity: 'warn', net, at: [terminalRef(slot, plus.id)], message })];
      });
    }),
};
