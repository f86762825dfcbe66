/**
 * What is not a choice: battery lead and capacitor on the main pads, each motor on its channel, each channel's signal
 * on its output, and the plug between ESC and controller. Channel n and output n belong together; which motor goes to
 * which channel of a board follows from how the board lies, for the straightest leads.
 */
import type { Build } from '../../facts/assembly/build';
import { emptyBuild, landedOn } from '../../facts/assembly/build';
import type { PartModel, PortKind, Terminal } from '../../facts/catalogue/partModel';
import type { PortId, Slot, TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import { nearestChannels } from '../../physics/motors/nearestChannels';
import { pointOf } from '../../physics/geometry/place';
import { hasRole } from '../../facts/catalogue/roles';
import type { Assembly } from '../../facts/assembly/assembly';

/** Two terminals that are to be joined, with the link they serve. `own` is the side whose part brings the wire. */
export interface Join {
  own: TerminalRef;
  to: TerminalRef;
  link: string;
  carries: 'supply' | 'ground' | 'signal';
}

export interface FixedLink {
  id: string;
  purpose: string;
  ends: readonly { slot: Slot; port: PortId }[];
}

export interface PowerPath {
  joins: readonly Join[];
  links: readonly FixedLink[];
  /** Parts whose supply and ground come with these joins. */
  fed: ReadonlySet<Slot>;
  /** The part with the pads that the battery lands on; null without one. */
  main: Slot | null;
}

/** The fixed joins of a build's parts; nothing for parts that are not there. */
export function powerPath(assembly: Assembly, keep: Build = emptyBuild): PowerPath {
  const slots = Object.keys(assembly.build.slots);
  const model = (slot: Slot) => assembly.model(slot)!;
  const ofKind = (...kinds: PartModel['kind'][]) => slots.filter((slot) => kinds.includes(model(slot).kind));
  const main = ofKind('distribution')[0] ?? ofKind('esc')[0] ?? ofKind('single board')[0] ?? null;
  const joins: Join[] = [];
  const links: FixedLink[] = [];
  const fed = new Set<Slot>();
  if (main) {
    const plus = thickest(
      model(main).terminals.filter((one) => one.roles.some((role) => role.is === 'supply' && role.dir === 'takes')),
    );
    const minus = thickest(model(main).terminals.filter((one) => hasRole(one, 'ground') && one.holds > 0));
    for (const slot of ofKind('battery lead', 'capacitor')) {
      const lead = model(slot).kind === 'battery lead';
      const link = lead ? 'battery' : slot === 'CAP' ? 'capacitor' : `capacitor ${slot}`;
      links.push({ id: link, purpose: lead ? 'battery lead' : 'capacitor across the battery pads', ends: [] });
      const own = (is: 'supply' | 'ground') => model(slot).terminals.find((one) => hasRole(one, is));
      if (plus && own('supply'))
        joins.push({
          own: terminalRef(slot, own('supply')!.id),
          to: terminalRef(main, plus.id),
          link,
          carries: 'supply',
        });
      if (minus && own('ground'))
        joins.push({
          own: terminalRef(slot, own('ground')!.id),
          to: terminalRef(main, minus.id),
          link,
          carries: 'ground',
        });
      fed.add(slot);
    }
    fed.add(main);
  }
  const channels = channelsOf(assembly);
  const straight = straightest(assembly, channels, keep);
  slots
    .filter((slot) => model(slot).kind === 'motor')
    .forEach((slot) => {
      const number = Number(/\d+$/.exec(slot)?.[0] ?? 1);
      const channel = straight.get(slot);
      if (!channel) return;
      const port = model(slot).ports.find(({ kind }) => kind === 'motorPhase');
      links.push({
        id: `motor ${number}`,
        purpose: `motor ${number}`,
        ends: port
          ? [
              { slot, port: port.id },
              { slot: channel.slot, port: channel.port },
            ]
          : [],
      });
      const leads = model(slot).terminals.filter((one) =>
        one.roles.some((role) => role.is === 'port' && role.port === port?.id),
      );
      const phases = model(channel.slot).terminals.filter((one) =>
        one.roles.some((role) => role.is === 'port' && role.port === channel.port),
      );
      const there = leads.map((lead) =>
        phases.find((one) => isWired(keep, terminalRef(slot, lead.id), terminalRef(channel.slot, one.id))),
      );
      leads.forEach((lead, index) => {
        const pin = lead.roles.find((role) => role.is === 'port')!.pin;
        const alike =
          phases.find((one) => one.roles.some((role) => role.is === 'port' && role.pin === pin)) ?? phases[index];
        // Leads that are soldered already stay; which lead goes to which phase does not matter.
        const phase = there.every(Boolean) ? there[index] : alike;
        if (phase)
          joins.push({
            own: terminalRef(slot, lead.id),
            to: terminalRef(channel.slot, phase.id),
            link: `motor ${number}`,
            carries: 'signal',
          });
      });
    });
  const controller = ofKind('controller')[0];
  if (controller) signals(assembly, controller, channels, { joins, links, fed });
  return { joins, links, fed, main };
}

export interface Channel {
  slot: Slot;
  port: PortId;
  /** Its number on its own board. */
  index: number;
}

/** Motor channels in order: those of ESC1 before ESC2, on a board by their number. */
export function channelsOf(assembly: Assembly): Channel[] {
  const number = (slot: Slot) => Number(/\d+$/.exec(slot)?.[0] ?? 0);
  return Object.keys(assembly.build.slots)
    .sort((a, b) => number(a) - number(b))
    .flatMap((slot) =>
      assembly
        .model(slot)!
        .ports.filter(({ kind, way }) => kind === 'motorPhase' && way === 'gives')
        .map((port) => ({ slot, port: port.id, index: port.index ?? 1 }))
        .sort((a, b) => a.index - b.index),
    );
}

/** The channel of each motor: its own ESC's, or on a board the one whose pads lie nearest its corner. */
function straightest(assembly: Assembly, channels: readonly Channel[], keep: Build): Map<Slot, Channel> {
  const number = (slot: Slot) => Number(/\d+$/.exec(slot)?.[0] ?? 1);
  const motors = Object.keys(assembly.build.slots)
    .filter((slot) => assembly.model(slot)!.kind === 'motor' && number(slot) <= channels.length)
    .sort((a, b) => number(a) - number(b));
  const own = new Set(channels.map(({ slot }) => slot)).size === channels.length;
  const corners = Object.keys(assembly.build.slots)
    .map((slot) => assembly.model(slot)!.frame)
    .find((one) => one)?.corners;
  if (own || !corners || motors.length > 12) return new Map(motors.map((slot) => [slot, channels[number(slot) - 1]!]));
  const distance = motors.map((motor) =>
    channels.map((channel) => {
      const corner = corners.find(({ index }) => index === number(motor))?.atMm ?? [0, 0];
      const pads = assembly
        .model(channel.slot)!
        .terminals.filter(({ roles }) => roles.some((role) => role.is === 'port' && role.port === channel.port));
      // A motor that is soldered already stays where it is.
      const soldered = pads.some(({ id }) =>
        Object.values(keep.wires).some(
          ({ tailOf, ends }) => tailOf?.startsWith(`${motor}.`) && landedOn(ends[1]) === terminalRef(channel.slot, id),
        ),
      );
      if (soldered) return -1e6;
      const at = pads.map(({ id }) => pointOf(assembly, terminalRef(channel.slot, id)));
      return at.reduce((sum, [x, y]) => sum + Math.hypot(x - corner[0], y - corner[1]) / at.length, 0);
    }),
  );
  const chosen = nearestChannels(distance);
  return new Map(motors.map((slot, index) => [slot, channels[chosen[index]!]!]));
}

function isWired({ wires }: Build, own: TerminalRef, to: TerminalRef): boolean {
  return Object.values(wires).some(({ ends }) => landedOn(ends[0]) === own && landedOn(ends[1]) === to);
}

function thickest(terminals: readonly Terminal[]): Terminal | undefined {
  return [...terminals].sort((a, b) => a.thickestAwg - b.thickestAwg)[0];
}

/** Channel n is driven by output n; on an ESC with a plug everything else in that plug goes along. */
function signals(
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

function pinsOf(model: PartModel, port: PortId): Terminal[] {
  return model.terminals.filter(({ roles }) => roles.some((role) => role.is === 'port' && role.port === port));
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
  const free = (one: Terminal) =>
    !joins.some(({ to }) => to === terminalRef(controller, one.id)) &&
    (socket ? socket.pins.includes(one.id) : one.form !== 'pin');
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
          .filter(({ roles }) => roles.some((one) => one.is === 'port' && one.port === partner.id))
          .map((to) => ({ partner, to })),
      );
    // Of several inputs of the kind the one that is printed alike.
    const { partner, to } = pads.find((one) => one.to.printed === terminal.printed) ?? pads[0] ?? {};
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
  const first = (is: 'supply' | 'ground') => supply.find((one) => hasRole(one, is));
  const takes = terminals.find(({ roles }) => roles.some((one) => one.is === 'supply' && one.dir === 'takes'));
  const ground = terminals.find((one) => hasRole(one, 'ground') && one.form !== 'shell');
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
