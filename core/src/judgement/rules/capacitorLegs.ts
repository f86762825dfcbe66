/**
 * A capacitor on long thin legs: they are in series with it, so at the frequency of the ESC's switching little of it is
 * left.
 * Source: inductance of a pair of wires side by side, 0.6 to 1.1 nH/mm.
 */
import type { Wire } from '../../facts/assembly/build';
import { isCapacitor } from '../../facts/catalogue/kinds';
import { landedOn } from '../../facts/assembly/build';
import { wireOhms } from '../../physics/circuit/compile';
import { terminalRef } from '../../facts/terms/names';
import type { Rule, RuleView } from './finding';
import { finding } from './finding';

const name = 'capacitor legs';
/** Where makers give the series resistance of a capacitor. */
const frequencyHz = 100_000;
const pairHenriesPerMm = 0.85e-9;
/** The capacitor and its legs together against the bare part. */
const wasted = 2;

export const capacitorLegs: Rule = {
  name,
  why: 'Long thin legs waste a capacitor: closeness lowers their inductance, thickness their resistance. If it must stand away, thick short wire, the pair side by side.',
  judge: (view) =>
    Object.keys(view.assembly.build.slots).flatMap((slot) => {
      const model = view.assembly.model(slot)!;
      if (!isCapacitor(model)) return [];
      return model.elements.flatMap((element) => {
        if (element.is !== 'capacitor') return [];
        const legs = [element.plus, element.minus].flatMap(
          (node) =>
            legFrom(
              view,
              model.terminals.filter((terminal) => terminal.node === node).map(({ id }) => terminalRef(slot, id)),
            ) ?? [],
        );
        const [plus, minus] = legs;
        if (!plus || !minus) return [];
        const ohms = legs.reduce((sum, { lengthMm, awg }) => sum + wireOhms(awg, lengthMm!), 0);
        const reactance = 2 * Math.PI * frequencyHz * pairHenriesPerMm * ((plus.lengthMm! + minus.lengthMm!) / 2);
        const times = (element.esrOhms + ohms + reactance) / element.esrOhms;
        if (times <= wasted) return [];
        const at = landedOn(plus.ends[1]) ?? landedOn(plus.ends[0])!;
        const message = `${slot} stands on legs of ${plus.lengthMm} and ${minus.lengthMm} mm, ${plus.awg} AWG: with them it has ${times.toFixed(1)} times the resistance of the bare part at ${frequencyHz / 1000} kHz.`;
        return [
          {
            ...finding(view, { rule: name, severity: 'warn', net: view.nets.netOf(at)!, at: [at], message }),
            wires: legs.map(({ id }) => id),
          },
        ];
      });
    }),
};

/** The wire of known length that leaves one of these terminals and is landed at both ends; null when there is none. */
function legFrom({ assembly }: RuleView, refs: readonly string[]): Wire | null {
  return (
    Object.values(assembly.build.wires).find(
      ({ ends, lengthMm }) =>
        lengthMm !== null &&
        ends.some((end) => refs.includes(landedOn(end) ?? '')) &&
        ends.every(({ at }) => at.on === 'terminal'),
    ) ?? null
  );
}
