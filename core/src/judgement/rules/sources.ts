/** What feeds or pushes volts onto which net: the battery, regulators inside parts, USB, signal pins, motor phases. */
import { isSupply } from '../../facts/catalogue/roles';
import { throughDiodes } from '../../physics/loads/throughDiodes';
import { isBatteryLead, isUsbSource } from '../../facts/catalogue/kinds';
import type { SupplyTree } from '../../physics/loads/supplyTree';
import type { Range, Slot, TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import type { Net, Netlist } from '../../facts/wiring/netlist';
import type { Assembly } from '../../facts/assembly/assembly';

export interface NetSource {
  slot: Slot;
  /** "battery", "USB", or what its regulator is printed for: "5 V". */
  from: string;
  volts: Range;
  /** Lowest volts without the spread of the regulator. */
  nominalV: number;
  /** It comes through a diode, and so gives way to any other. */
  diode?: true;
}

/** A pin or phase that can push this many volts. */
export interface Drive {
  ref: TerminalRef;
  volts: number;
}

/** Regulator outputs are taken within this of their print. */
export const regulatorSpread = 0.05;

/** A regulator's volts with its spread; where it only passes its input on there is none. */
export function spreadOf(volts: Range, outV: number): Range {
  return [Math.min(volts[0], outV * (1 - regulatorSpread)), volts[1] * (1 + regulatorSpread)];
}

/** Sources by net; a net that nothing feeds is not in the map. */
export function sourcesOf(assembly: Assembly, nets: Netlist, tree: SupplyTree): ReadonlyMap<Net, readonly NetSource[]> {
  const sources = new Map<Net, NetSource[]>();
  const add = (ref: TerminalRef | null, source: NetSource) => append(sources, ref && nets.netOf(ref), source);
  const fed = new Set(tree.rails.filter(({ volts }) => volts[1] > 0).map(({ id }) => id));
  for (const slot of Object.keys(assembly.build.slots)) {
    const model = assembly.model(slot)!;
    const gives = model.terminals.find((terminal) => isSupply(terminal, 'gives'));
    const given = gives?.roles.find((role) => role.is === 'supply');
    if (isBatteryLead(model.kind)) {
      const plus = model.terminals.find(({ roles }) => roles.some((role) => role.is === 'supply'));
      if (plus) add(terminalRef(slot, plus.id), { slot, from: 'battery', volts: tree.packV, nominalV: tree.packV[0] });
    }
    // An adapter that passes USB on through a diode gives way to any other supply.
    const diode = model.elements.some((element) => element.is === 'diode' && element.cathode === gives?.node);
    if (isUsbSource(model) && gives && given?.is === 'supply')
      add(terminalRef(slot, gives.id), {
        slot,
        from: 'USB',
        volts: given.volts,
        nominalV: given.volts[0],
        ...(diode ? { diode: true as const } : {}),
      });
    for (const element of model.elements) {
      if (element.is !== 'regulator') continue;
      const terminal = model.terminals.find((terminal) => terminal.node === element.output);
      const rail = tree.rails.find(({ id }) => id === `${slot}/${element.id}`);
      // A second regulator on a net is not in the tree, and joined supplies are what a rule looks for.
      const volts: Range = rail?.volts ?? [element.outV, element.outV];
      if (!terminal || (rail && !fed.has(rail.id))) continue;
      add(terminalRef(slot, terminal.id), {
        slot,
        from: `${element.outV} V`,
        volts: spreadOf(volts, element.outV),
        nominalV: volts[0],
      });
    }
  }
  const byId = new Map([...sources.keys()].map((net) => [net.id, net]));
  const behind = throughDiodes(assembly, nets, (id) => byId.has(id));
  for (const [to, { from, dropV }] of behind) {
    const net = nets.nets.find(({ id }) => id === to) ?? null;
    for (const { volts, nominalV, ...source } of sources.get(byId.get(from)!) ?? [])
      append(sources, net, {
        ...source,
        volts: [Math.max(0, volts[0] - dropV), volts[1]],
        nominalV: Math.max(0, nominalV - dropV),
        diode: true,
      });
  }
  return sources;
}

/** Drives by net; `sources` by net, for what is pulled up through a load. */
export function drivesOf(
  assembly: Assembly,
  nets: Netlist,
  packV: Range,
  sources: ReadonlyMap<Net, readonly NetSource[]>,
): ReadonlyMap<Net, readonly Drive[]> {
  const drives = new Map<Net, Drive[]>();
  for (const slot of Object.keys(assembly.build.slots)) {
    const model = assembly.model(slot)!;
    // Through its windings a motor carries the volts of its phases to a lead that went astray.
    const phases = new Set(model.ports.filter(({ kind }) => kind === 'motorPhase').map(({ id }) => id));
    for (const terminal of model.terminals) {
      const phase = terminal.roles.some((role) => role.is === 'port' && phases.has(role.port));
      const volts = phase ? packV[1] : terminal.drivesV;
      const ref = terminalRef(slot, terminal.id);
      if (volts !== undefined) append(drives, nets.netOf(ref), { ref, volts });
    }
    // A part that is switched at its minus, like a buzzer, pulls that wire up to its supply while it is off.
    for (const element of model.elements) {
      if (element.is !== 'load') continue;
      const at = (node: string) => model.terminals.find((terminal) => terminal.node === node);
      const [plus, minus] = [at(element.plus), at(element.minus)];
      const volts =
        plus &&
        Math.max(0, ...(sources.get(nets.netOf(terminalRef(slot, plus.id))!) ?? []).map((source) => source.volts[1]));
      if (minus && volts && !minus.roles.some(({ is }) => is === 'ground'))
        append(drives, nets.netOf(terminalRef(slot, minus.id)), { ref: terminalRef(slot, minus.id), volts });
    }
  }
  return drives;
}

function append<T>(map: Map<Net, T[]>, net: Net | null, one: T): void {
  if (net) map.set(net, [...(map.get(net) ?? []), one]);
}
