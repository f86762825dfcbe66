/** Which supplies feed which net, from the battery and from the regulators inside the parts. */
import type { Build } from '../build/build';
import type { Catalogue } from '../catalogue/catalogue';
import { modelIn } from '../catalogue/catalogue';
import type { Range, Slot, TerminalRef } from '../names';
import { terminalRef } from '../names';
import type { Net, Netlist } from '../wiring/netlist';

export interface NetSource {
  slot: Slot;
  /** "battery", or the regulator's id. */
  from: string;
  volts: Range;
}

/** Regulator outputs are taken within this of their print. */
const regulatorSpread = 0.05;

/** Sources by net; a net that nothing feeds is not in the map. */
export function sourcesOf(build: Build, catalogue: Catalogue, nets: Netlist, packV: Range): ReadonlyMap<Net, readonly NetSource[]> {
  const sources = new Map<Net, NetSource[]>();
  const add = (ref: TerminalRef | null, source: NetSource) => {
    const net = ref && nets.netOf(ref);
    if (net) sources.set(net, [...(sources.get(net) ?? []), source]);
  };
  for (const slot of Object.keys(build.slots)) {
    const model = modelIn(build, slot, catalogue)!;
    const onNode = (node: string): TerminalRef | null => {
      const terminal = model.terminals.find((one) => one.node === node);
      return terminal ? terminalRef(slot, terminal.id) : null;
    };
    if (model.kind === 'battery lead') {
      const plus = model.terminals.find(({ roles }) => roles.some((role) => role.is === 'supply'));
      if (plus) add(terminalRef(slot, plus.id), { slot, from: 'battery', volts: packV });
    }
    for (const element of model.elements) {
      if (element.is !== 'regulator') continue;
      const volts: Range = [element.outV * (1 - regulatorSpread), element.outV * (1 + regulatorSpread)];
      add(onNode(element.output), { slot, from: element.id, volts });
    }
  }
  return sources;
}
