/** What the plan wires for a purpose must really meet: both data directions of a link, every channel of a set of outputs. */
import { modelIn } from '../catalogue/catalogue';
import type { Port, PortPin } from '../catalogue/partModel';
import type { Slot, TerminalRef } from '../names';
import { terminalRef } from '../names';
import type { Link } from '../plan/plan';
import type { Finding, Rule, RuleView } from './finding';
import { finding, portOf, spoken } from './finding';

export const links: Rule = (view) => [...view.links.flatMap((link) => dataLink(view, link)), ...missingChannels(view)];

/** A serial link carries data both ways: what one end sends, the other end's part must hear, on any of its ports. */
function dataLink(view: RuleView, { purpose, ends }: Link): Finding[] {
  const [own, other] = ends;
  if (!own || !other || !view.build.slots[own.slot] || !view.build.slots[other.slot]) return [];
  return ([['tx', 'rx'], ['rx', 'tx']] as const).flatMap(([pin, partner]): Finding[] => {
    const ref = pinOf(view, own.slot, own.port, pin);
    if (!ref || portOf(view, ref)?.port.kind !== 'serial' || !pinOf(view, other.slot, other.port, partner)) return [];
    const net = view.nets.netOf(ref)!;
    const meets = net.terminals.some((one) => {
      const at = portOf(view, one);
      return at?.slot === other.slot && at.pin === partner;
    });
    if (meets) return [];
    const says = `${purpose}: ${spoken(view, ref)} does not reach ${partner === 'rx' ? 'a receive' : 'a transmit'} pad of ${other.slot}.`;
    return [finding(view, 'link open', 'stop', net, [ref], says)];
  });
}

function pinOf(view: RuleView, slot: Slot, port: string, pin: PortPin): TerminalRef | null {
  const terminal = modelIn(view.build, slot, view.catalogue)?.terminals.find(({ roles }) =>
    roles.some((role) => role.is === 'port' && role.port === port && role.pin === pin),
  );
  return terminal ? terminalRef(slot, terminal.id) : null;
}

/** An ESC of which some channels are driven and others are not. */
function missingChannels(view: RuleView): Finding[] {
  return Object.keys(view.build.slots).flatMap((slot) => {
    const model = modelIn(view.build, slot, view.catalogue)!;
    const inputs = model.ports.filter((port) => port.kind === 'motorSignal' && port.way === 'takes');
    const driven = (port: Port) => {
      const ref = pinOf(view, slot, port.id, 'in');
      return ref !== null && view.nets.netOf(ref)!.terminals.some((one) => {
        const at = portOf(view, one);
        return at !== null && at.slot !== slot && at.port.kind === 'motorSignal' && at.port.way === 'gives';
      });
    };
    if (!inputs.some(driven)) return [];
    return inputs.filter((port) => !driven(port)).map((port) => {
      const ref = pinOf(view, slot, port.id, 'in')!;
      return finding(view, 'no motor signal', 'stop', view.nets.netOf(ref)!, [ref], `Channel ${port.index} gets no signal: nothing drives ${spoken(view, ref)}.`);
    });
  });
}
