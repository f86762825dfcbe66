/** Signals from the controller to its ESCs, and what goes along in their plug. */
import type { PortKind, Terminal } from '../../facts/catalogue/partModel';
import type { Slot } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import { hasRole, isSupply } from '../../facts/catalogue/roles';
import type { Assembly } from '../../facts/assembly/assembly';
import type { Join, FixedLink, Channel } from './fixedJoins';
import { pinsOf } from './fixedJoins';

/** Channel n is driven by output n; on an ESC with a plug everything else in that plug goes along. */
export function signals(
  assembly: Assembly,
  controller: Slot,
  channels: readonly Channel[],
  { joins, links, fed }: { joins: Join[]; links: FixedLink[]; fed: Set<Slot> },
): void {
  const fc = assembly.model(controller)!;
  const plugged = new Map<Slot, Channel[]>();
  channels.forEach((channel, place) => {
    const esc = assembly.model(channel.slot)!;
    const input = esc.ports.find(
      ({ kind, way, index }) => kind === 'motorSignal' && way === 'takes' && (index ?? 1) === channel.index,
    );
    const output = fc.ports.find(
      ({ kind, way, index }) => kind === 'motorSignal' && way === 'gives' && index === place + 1,
    );
    const own = input && pinsOf(esc, input.id)[0];
    if (!input || !output || !own) return;
    const plug = esc.connectors.find(({ pins }) => pins.includes(own.id));
    const pads = pinsOf(fc, output.id);
    const to = plug
      ? (pads.find(({ form }) => form === 'pin') ?? pads[0])
      : (pads.find(({ form }) => form !== 'pin') ?? pads[0]);
    if (!to) return;
    const id =
      esc.ports.filter(({ kind }) => kind === 'motorPhase').length > 1
        ? `signal ${place + 1}`
        : `ESC ${place + 1} signal`;
    links.push({
      id,
      purpose: `signal of channel ${place + 1}`,
      ends: [
        { slot: channel.slot, port: input.id },
        { slot: controller, port: output.id },
      ],
    });
    joins.push({
      own: terminalRef(channel.slot, own.id),
      to: terminalRef(controller, to.id),
      link: id,
      carries: 'signal',
    });
    if (plug) plugged.set(channel.slot, [...(plugged.get(channel.slot) ?? []), channel]);
  });
  for (const slot of plugged.keys()) alongInPlug(assembly, slot, controller, { joins, links, fed });
}

/** Supply, ground, current sense and telemetry in the ESC's plug, to the controller's same plug, else to its pads. */
function alongInPlug(
  assembly: Assembly,
  slot: Slot,
  controller: Slot,
  { joins, links, fed }: { joins: Join[]; links: FixedLink[]; fed: Set<Slot> },
): void {
  const [esc, fc] = [assembly.model(slot)!, assembly.model(controller)!];
  const used = joins.filter(({ own }) => own.startsWith(`${slot}.`)).map(({ to }) => to);
  const socket = fc.connectors.find(({ pins }) => pins.some((pin) => used.includes(terminalRef(controller, pin))));
  const own = esc.connectors.find(({ pins }) =>
    pins.some((pin) => joins.some((join) => join.own === terminalRef(slot, pin))),
  )!;
  const free = (terminal: Terminal) =>
    !joins.some(({ to }) => to === terminalRef(controller, terminal.id)) &&
    (socket ? socket.pins.includes(terminal.id) : terminal.form !== 'pin');
  const terminals = fc.terminals.filter(free);
  for (const pin of own.pins) {
    const terminal = esc.terminals.find(({ id }) => id === pin)!;
    const [role] = terminal.roles;
    if (role?.is !== 'port' || joins.some((join) => join.own === terminalRef(slot, pin))) continue;
    const port = esc.ports.find(({ id }) => id === role.port)!;
    const pads = fc.ports
      .filter(({ kind, way }) => kind === port.kind && way === 'takes' && kind !== ('motorSignal' satisfies PortKind))
      .flatMap((partner) =>
        terminals
          .filter(({ roles }) => roles.some((role) => role.is === 'port' && role.port === partner.id))
          .map((to) => ({ partner, to })),
      );
    // Of several inputs of the kind the one that is printed alike.
    const { partner, to } = pads.find((pad) => pad.to.printed === terminal.printed) ?? pads[0] ?? {};
    if (partner && to) {
      const id = port.kind === 'escData' ? `ESC telemetry ${slot}` : `current sense ${slot}`;
      links.push({
        id,
        purpose: port.kind === 'escData' ? 'ESC telemetry' : 'current sense',
        ends: [
          { slot, port: port.id },
          { slot: controller, port: partner.id },
        ],
      });
      joins.push({ own: terminalRef(slot, pin), to: terminalRef(controller, to.id), link: id, carries: 'signal' });
    }
  }
  const supply = own.pins.map((pin) => esc.terminals.find(({ id }) => id === pin)!);
  const first = (is: 'supply' | 'ground') => supply.find((terminal) => hasRole(terminal, is));
  const takes = terminals.find((terminal) => isSupply(terminal, 'takes'));
  const ground = terminals.find((terminal) => hasRole(terminal, 'ground') && terminal.form !== 'shell');
  const link = `controller and ${slot}`;
  if (!fed.has(controller) && first('supply') && takes)
    joins.push({
      own: terminalRef(slot, first('supply')!.id),
      to: terminalRef(controller, takes.id),
      link,
      carries: 'supply',
    });
  if (first('ground') && ground)
    joins.push({
      own: terminalRef(slot, first('ground')!.id),
      to: terminalRef(controller, ground.id),
      link,
      carries: 'ground',
    });
  if (first('supply') && takes && ground) fed.add(controller);
  links.push({ id: link, purpose: `supply and ground between ${slot} and ${controller}`, ends: [] });
}
