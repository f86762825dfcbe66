/** More wires on a pad than it holds, or a wire thicker than the pad takes. */
import { landedOn } from '../build/build';
import type { TerminalRef, WireId } from '../names';
import type { Finding, Rule } from './finding';
import { spoken } from './finding';

export const padFull: Rule = (view) => {
  const onPad = new Map<TerminalRef, WireId[]>();
  for (const wire of Object.values(view.build.wires)) {
    for (const end of wire.ends) {
      const ref = landedOn(end);
      if (ref && end.by !== 'factory' && view.nets.netOf(ref)) onPad.set(ref, [...(onPad.get(ref) ?? []), wire.id]);
    }
  }
  return [...onPad].flatMap(([ref, wires]): Finding[] => {
    const { holds, thickestAwg } = view.terminal(ref);
    const key = `pad:${ref}`;
    if (wires.length > holds) {
      return [{ key, rule: 'pad full', severity: 'stop', at: [ref], wires, says: `${spoken(view, ref)} holds ${holds} wire${holds === 1 ? '' : 's'}; ${wires.length} are on it.` }];
    }
    const thick = wires.find((id) => view.build.wires[id]!.awg < thickestAwg);
    if (!thick) return [];
    const says = `${thick} is ${view.build.wires[thick]!.awg} AWG; ${spoken(view, ref)} takes ${thickestAwg} AWG at most.`;
    return [{ key, rule: 'wire too thick', severity: 'warn', at: [ref], wires: [thick], says }];
  });
};
