/** A part that is wired, but whose supply goes nowhere. */
import { isSupply } from '../../facts/catalogue/roles';
import { isPassive } from '../../facts/catalogue/kinds';
import { splitRef, terminalRef } from '../../facts/terms/names';
import type { Rule } from './finding';
import { finding, spoken } from './finding';

const name = 'no supply';

export const noSupply: Rule = {
  name,
  why: 'A part that gets no supply is dead, and its data lines can feed it backwards through its pins.',
  judge: (view) => {
    // An aerial or a camera cable alone does not make a part wired, nor do wires that end insulated.
    const wired = new Set(
      view.joined
        .filter(
          ({ wires, terminals }) => wires.length > 0 && new Set(terminals.map((ref) => splitRef(ref).slot)).size > 1,
        )
        .flatMap(({ terminals }) => terminals.map((ref) => splitRef(ref).slot)),
    );
    return Object.keys(view.assembly.build.slots).flatMap((slot) => {
      const model = view.assembly.model(slot)!;
      const takes = model.terminals.filter((terminal) => isSupply(terminal, 'takes'));
      if (!wired.has(slot) || takes.length === 0 || isPassive(model)) return [];
      const refs = takes.map(({ id }) => terminalRef(slot, id));
      if (refs.some((ref) => view.sources.has(view.nets.netOf(ref)!))) return [];
      const message = `${slot} gets no supply: nothing that gives volts is on ${spoken(view, refs[0]!)}.`;
      return [
        finding(view, { rule: name, severity: 'stop', net: view.nets.netOf(refs[0]!)!, at: [refs[0]!], message }),
      ];
    });
  },
};
