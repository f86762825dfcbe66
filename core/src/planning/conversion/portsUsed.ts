/** Ports of boards: which are joined to another part, and which are left. */
import type { Assembly } from '../../facts/assembly/assembly';
import { isController } from '../../facts/catalogue/kinds';
import type { PortKind } from '../../facts/catalogue/partModel';
import { splitRef } from '../../facts/terms/names';
import { netlist } from '../../facts/wiring/netlist';

const counted: readonly PortKind[] = [
  'serial',
  'video',
  'lights',
  'buzzer',
  'i2c',
  'escData',
  'sense',
  'strength',
  'motorSignal',
];

/** Ports of boards that are joined to a port of another part. */
export function portsUsed(assembly: Assembly): Set<string> {
  const used = new Set<string>();
  for (const net of netlist(assembly).nets) {
    const ports = net.terminals.flatMap((ref) => {
      const { slot, terminal } = splitRef(ref);
      const model = assembly.model(slot)!;
      const role = model.terminals.find(({ id }) => id === terminal)!.roles.find(({ is }) => is === 'port');
      const port =
        role?.is === 'port'
          ? model.ports.find(({ id, kind }) => id === role.port && counted.includes(kind))
          : undefined;
      return port ? [{ slot, port, board: isController(model.kind) }] : [];
    });
    for (const one of ports)
      if (one.board && ports.some(({ slot }) => slot !== one.slot)) used.add(`${one.slot}/${one.port.id}`);
  }
  return used;
}

/** Serial ports of boards that nothing is joined to, as `FC/UART2`. */
export function serialPortsLeft(assembly: Assembly): string[] {
  const used = portsUsed(assembly);
  return Object.keys(assembly.build.slots).flatMap((slot) => {
    const { kind, ports } = assembly.model(slot)!;
    const serial = isController(kind) ? ports.filter((port) => port.kind === 'serial') : [];
    return serial.map(({ id }) => `${slot}/${id}`).filter((port) => !used.has(port));
  });
}
