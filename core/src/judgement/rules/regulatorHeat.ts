/**
 * A linear regulator turns what it takes away into heat: (Vin - Vout) * I, against what its package bears without air.
 */
import { railWords } from '../../physics/loads/supplyTree';
import { terminalRef } from '../../facts/terms/names';
import type { Finding, Rule } from './finding';
import { finding } from './finding';

const name = 'regulator heat';

export const regulatorHeat: Rule = {
  name,
  why: 'A linear regulator burns the volts that it takes away. From a full pack even a small current is more than its package gets rid of: it shuts down, or dies and passes the pack on.',
  judge: (view) =>
    view.tree.rails.flatMap((rail): Finding[] => {
      const model = rail.slot ? view.assembly.model(rail.slot) : null;
      const element = model?.elements.find(({ id }) => `${rail.slot}/${id}` === rail.id);
      const terminal =
        element?.is === 'regulator' ? model!.terminals.find(({ node }) => node === element.output) : undefined;
      const inV = view.tree.rails.find(({ id }) => id === rail.parent)?.volts[1] ?? 0;
      if (element?.is !== 'regulator' || element.kindOf !== 'linear' || !element.packageW) return [];
      const ref = terminalRef(rail.slot!, (terminal ?? model!.terminals[0]!).id);
      const heatW = (amps: number) => Math.max(0, inV - element.outV) * amps;
      const [typicalW, peakW] = [heatW(rail.out.full.typical), heatW(rail.out.full.peak)];
      if (peakW <= element.packageW) return [];
      const words = `${railWords(rail, view.tree.rails)} burns`;
      const of = `its package bears ${element.packageW} W without air`;
      const message =
        typicalW > element.packageW
          ? `${words} ${typicalW.toFixed(1)} W at ${inV.toFixed(1)} V; ${of}.`
          : `${words} ${peakW.toFixed(1)} W at peak load and ${inV.toFixed(1)} V; ${of}.`;
      const severity = typicalW > element.packageW ? 'stop' : 'warn';
      return [finding(view, { rule: name, severity, net: view.nets.netOf(ref)!, at: [ref], message })];
    }),
};
