/** No unused conductor is left live, and no wire leads nowhere. */
import { landedOn } from '../../facts/assembly/build';
import { wireWords } from '../../facts/assembly/itemWords';
import { capital } from '../../facts/terms/capital';
import type { Finding, Rule, RuleView } from './finding';
import { finding, spoken } from './finding';
import { lookUp } from '../../facts/terms/lookUp';

const name = 'unused conductor';

export const unusedConductor: Rule = {
  name,
  why: 'A bare live end finds carbon sooner or later. Take unused contacts out or insulate them, and note which.',
  judge: (view) => [...bareEnds(view), ...toNowhere(view)],
};

function bareEnds(view: RuleView): Finding[] {
  return Object.values(view.assembly.build.wires).flatMap((wire) => {
    const open = wire.ends.findIndex(({ at }) => at.on === 'air' && at.end === 'bare');
    const net = view.nets.netOfWire(wire.id);
    const at = wire.ends.flatMap((end) => landedOn(end) ?? [])[0];
    if (open < 0 || !net || !at || !(view.sources.has(net) || view.drives.has(net))) return [];
    return [
      {
        ...finding(view, {
          rule: name,
          severity: 'warn',
          net,
          at: [at],
          message: `${capital(wireWords(wire, view.assembly))} is live at ${spoken(view, at)} and its other end is bare.`,
        }),
        wires: [wire.id],
      },
    ];
  });
}

/** A wire to a terminal that is for nothing a wire could do, like a boot pad. */
function toNowhere(view: RuleView): Finding[] {
  return view.joined.flatMap((net) => {
    if (net.wires.length === 0) return [];
    const ref = net.terminals.find(
      (terminal) =>
        view.terminal(terminal).roles.length === 0 &&
        net.wires.some((id) => lookUp(view.assembly.build.wires, id)!.ends.some((end) => landedOn(end) === terminal)),
    );
    if (!ref) return [];
    const boot = /boot/i.test(view.terminal(ref).printed);
    const message = boot
      ? `A wire is on ${spoken(view, ref)}: held low at the start, the board does not come up.`
      : `A wire is on ${spoken(view, ref)}, which does nothing for it.`;
    return [finding(view, { rule: boot ? 'boot pin' : name, severity: 'warn', net, at: [ref], message })];
  });
}
