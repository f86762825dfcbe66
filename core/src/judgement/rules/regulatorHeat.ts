/**
 * A linear regulator turns what it takes away into heat: (Vin - Vout) * I, against what its package bears without air.
 */
import { railWords } from '../../physics/loads/supplyTree';
import { terminalRef } from '../../facts/terms/names';
import type { Finding, Rule } from './finding';
import { finding } from './finding';
import { railRegulator } from './railRegulator';

const name = 'regulator heat';

export const regulatorHeat: Rule = {
  name,
  why: 'A linear regulator burns the volts that it takes away. From a full pack even a small current is more than its package gets rid of: it shuts down, or dies and passes the pack on.',
  judge: (view) =>
    view.tree.rails.flatMap((rail): Finding[] => {
      const regulator = railRegulator(view, rail);
      const bearsW = regulator?.element.packageW;
      if (!regulator || regulator.element.kindOf !== 'linear' || !bearsW) return [];
      const { slot, element, output } = regulator;
      const ref = output ?? terminalRef(slot, view.assembly.model(slot)!.terminals[0]!.id);
      const inV = view.tree.rails.find(({ id }) => id === rail.parent)?.volts[1] ?? 0;
      const heatW = (amps: number) => Math.max(0, inV - element.outV) * amps;
      const [typicalW, peakW] = [heatW(rail.out.full.typical), heatW(rail.out.full.peak)];
      if (peakW <= bearsW) return [];
      const words = `${railWords(rail, view.tree.rails)} burns`;
      const of = `its package bears ${bearsW} W without air`;
      const message =
        typicalW > bearsW
          ? `${words} ${typicalW.toFixed(1)} W at ${inV.toFixed(1)} V; ${of}.`
          : `${words} ${peakW.toFixed(1)} W at peak load and ${inV.toFixed(1)} V; ${of}.`;
      const severity = typicalW > bearsW ? 'stop' : 'warn';
      return [finding(view, { rule: name, severity, net: view.nets.netOf(ref)!, at: [ref], message })];
    }),
};
