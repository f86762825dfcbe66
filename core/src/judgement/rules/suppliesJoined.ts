/** Two supplies on one net without a diode between them. */
import type { Rule } from './finding';
import { finding, spoken } from './finding';
import { regulatorSpread } from './sources';

const name = 'supplies joined';
/** Regulators whose print differs by more than this drive current into each other. */
const harmlessV = 0.3;

export const suppliesJoined: Rule = {
  name,
  why: 'Two regulators on one rail fight: the stronger feeds the weaker backwards. With separate ESCs use one 5 V output and take the other red wires out.',
  judge: (view) =>
    view.joined.flatMap((net) => {
      const sources = (view.sources.get(net) ?? []).filter(({ from, diode }) => from !== 'battery' && !diode);
      const [first, second] = sources;
      if (!first || !second) return [];
      const print = (volts: number) => volts / (1 + regulatorSpread);
      const apart = Math.abs(print(first.volts[1]) - print(second.volts[1])) > harmlessV;
      const at = [first, second].map(({ slot }) => net.terminals.find((ref) => ref.startsWith(`${slot}.`))!);
      const message = `Two supplies feed one net: ${first.slot} (${first.from}) and ${second.slot} (${second.from}), at ${spoken(view, at[0]!)} and ${spoken(view, at[1]!)}. Keep one.`;
      return [finding(view, { rule: name, severity: apart ? 'kill' : 'stop', net, at, message })];
    }),
};
