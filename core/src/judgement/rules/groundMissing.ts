/** A powered part without a ground of its own: on battery volts its current finds a way through signal pins. */
import { landedOn } from '../../facts/assembly/build';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitRef, terminalRef } from '../../facts/terms/names';
import type { Netlist } from '../../facts/wiring/netlist';
import { netlist } from '../../facts/wiring/netlist';
import type { Rule, RuleView } from './finding';
import { feedsOf, finding, spoken } from './finding';
import { isPassive } from '../../facts/catalogue/kinds';
import { hasRole } from '../../facts/catalogue/roles';
import { mainLeads } from '../../facts/wiring/mainLeads';
import { assemble } from '../../facts/assembly/assembly';

const name = 'ground missing';
/** Above this a return through signal pins destroys them. */
const harmlessV = 6;

export const groundMissing: Rule = {
  name,
  why: 'What goes in on plus must come back on minus. Without a ground wire it comes back through signal pins, a video shield or a USB shell, and they burn.',
  judge: (view) => {
    const leads = mainLeads(view.assembly);
    if (!leads) return [];
    // A shell or shield carries signals' return, not a part's supply: without it the ground must still be there.
    const bare = withoutShells(view);
    return Object.keys(view.assembly.build.slots).flatMap((slot) => {
      const { terminals } = view.assembly.model(slot)!;
      const grounds = terminals
        .filter((terminal) => hasRole(terminal, 'ground') && terminal.form !== 'metal')
        .map(({ id }) => terminalRef(slot, id));
      const [feed, own] = [feedsOf(view, slot)[0], grounds[0]];
      if (
        !feed ||
        !own ||
        isPassive(view.assembly.model(slot)!) ||
        grounds.some((ref) => bare.netOf(ref) === bare.netOf(leads.minus))
      )
        return [];
      const volts = Math.max(...view.sources.get(view.nets.netOf(feed)!)!.map((source) => source.volts[1]));
      const shell = grounds.some((ref) => view.nets.netOf(ref) === view.nets.netOf(leads.minus));
      const how = shell
        ? 'finds ground only through a shell or shield'
        : 'has no ground: its current would return through signal wires';
      const message = `${slot} is fed on ${spoken(view, feed)} but ${how}.`;
      // Its supply comes out of its ground pad again, through everything in it.
      const ontoPin = tiedToGround(view, slot, own).some((pad) =>
        view.nets
          .netOf(pad)!
          .terminals.some((ref) => splitRef(ref).slot !== slot && view.terminal(ref).withstandV[1] < volts),
      );
      return [
        finding(view, {
          rule: name,
          severity: volts > harmlessV || ontoPin ? 'kill' : 'stop',
          net: view.nets.netOf(own)!,
          at: [own],
          message,
        }),
      ];
    });
  },
};

/** Terminals of a part that its ground node is tied to, itself or through a small resistor like a video termination. */
function tiedToGround(view: RuleView, slot: Slot, own: TerminalRef): TerminalRef[] {
  const { terminals, elements } = view.assembly.model(slot)!;
  const { node } = view.terminal(own);
  const tied = new Set(
    elements.flatMap((element) =>
      element.is === 'resistor' && element.ohms < 1000 && (element.a === node || element.b === node)
        ? [element.a, element.b]
        : [],
    ),
  );
  return terminals
    .filter((terminal) => terminal.node === node || tied.has(terminal.node))
    .map(({ id }) => terminalRef(slot, id));
}

/** The nets without wires that land on a shell or on bare metal. */
function withoutShells({ assembly, nets, terminal }: RuleView): Netlist {
  const onShell = (ref: ReturnType<typeof landedOn>) =>
    ref !== null && ['shell', 'metal'].includes(terminal(ref)?.form);
  const wires = Object.entries(assembly.build.wires).filter(
    ([, wire]) => !wire.ends.some((end) => onShell(landedOn(end))),
  );
  return wires.length === Object.keys(assembly.build.wires).length
    ? nets
    : netlist(assemble({ ...assembly.build, wires: Object.fromEntries(wires) }, assembly.catalogue));
}
