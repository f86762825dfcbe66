/**
 * What is not a choice: battery lead and capacitor on the main pads, each motor on its channel, each channel's signal
 * on its output, and the plug between ESC and controller. Channel n and output n belong together; which motor goes to
 * which channel of a board follows from how the board lies, for the straightest leads.
 */
import { frameOf } from '../../facts/assembly/frameOf';
import type { Build } from '../../facts/assembly/build';
import { emptyBuild, landedOn } from '../../facts/assembly/build';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import { nearestChannels } from '../../physics/motors/nearestChannels';
import { pointOf } from '../../physics/geometry/place';
import { drivesMotors, isBatteryLead, isCapacitor, isController, isMotor } from '../../facts/catalogue/kinds';
import { hasRole, isSupply } from '../../facts/catalogue/roles';
import { carriesBattery } from './feeds';
import type { Assembly } from '../../facts/assembly/assembly';
import type { Join, FixedLink, PowerPath, Channel } from './fixedJoins';
import { thickest } from './fixedJoins';
import { signals } from './motorSignals';
import { channelsOf } from './channels';

/** The fixed joins of a build's parts; nothing for parts that are not there. */
export function powerPath(assembly: Assembly, keep: Build = emptyBuild): PowerPath {
  const slots = Object.keys(assembly.build.slots);
  const model = (slot: Slot) => assembly.model(slot)!;
  const all = (fits: (model: PartModel) => boolean) => slots.filter((slot) => fits(model(slot)));
  const main = mainOf(all(carriesBattery), model);
  const joins: Join[] = [];
  const links: FixedLink[] = [];
  const fed = new Set<Slot>();
  if (main) {
    const plus = thickest(model(main).terminals.filter((terminal) => isSupply(terminal, 'takes')));
    const minus = thickest(
      model(main).terminals.filter((terminal) => hasRole(terminal, 'ground') && terminal.holds > 0),
    );
    for (const slot of all((one) => isBatteryLead(one.kind) || isCapacitor(one))) {
      const lead = isBatteryLead(model(slot).kind);
      const link = linkOf(lead, slot);
      links.push({ id: link, purpose: lead ? 'battery lead' : 'capacitor across the battery pads', ends: [] });
      const own = (is: 'supply' | 'ground') => model(slot).terminals.find((terminal) => hasRole(terminal, is));
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
    .filter((slot) => isMotor(model(slot).kind))
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
      const leads = model(slot).terminals.filter((terminal) =>
        terminal.roles.some((role) => role.is === 'port' && role.port === port?.id),
      );
      const phases = model(channel.slot).terminals.filter((terminal) =>
        terminal.roles.some((role) => role.is === 'port' && role.port === channel.port),
      );
      const there = leads.map((lead) =>
        phases.find((phase) => isWired(keep, terminalRef(slot, lead.id), terminalRef(channel.slot, phase.id))),
      );
      leads.forEach((lead, index) => {
        const pin = lead.roles.find((role) => role.is === 'port')!.pin;
        const alike =
          phases.find((phase) => phase.roles.some((role) => role.is === 'port' && role.pin === pin)) ?? phases[index];
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
  const [controller] = all((one) => isController(one.kind) && !drivesMotors(one));
  if (controller) signals(assembly, controller, channels, { joins, links, fed });
  return { joins, links, fed, main };
}

/** Where the battery lead goes: what passes the current on, else what drives motors, a single board last. */
function mainOf(carriers: readonly Slot[], model: (slot: Slot) => PartModel): Slot | null {
  const order = (slot: Slot) => Number(drivesMotors(model(slot))) + Number(isController(model(slot).kind));
  return [...carriers].sort((a, b) => order(a) - order(b))[0] ?? null;
}

function linkOf(lead: boolean, slot: string) {
  if (lead) return 'battery';
  if (slot === 'CAP') return 'capacitor';
  return `capacitor ${slot}`;
}

/** The channel of each motor: its own ESC's, or on a board the one whose pads lie nearest its corner. */
function straightest(assembly: Assembly, channels: readonly Channel[], keep: Build): Map<Slot, Channel> {
  const number = (slot: Slot) => Number(/\d+$/.exec(slot)?.[0] ?? 1);
  const motors = Object.keys(assembly.build.slots)
    .filter((slot) => isMotor(assembly.model(slot)!.kind))
    .sort((a, b) => number(a) - number(b));
  const own = new Set(channels.map(({ slot }) => slot)).size === channels.length;
  const corners = frameOf(assembly)?.corners;
  if (own || !corners || motors.length > Math.min(12, channels.length)) return byNumber(motors, channels, number);
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

/** Motor n on channel n; one whose number no channel has takes what is left over. */
function byNumber(
  motors: readonly Slot[],
  channels: readonly Channel[],
  number: (slot: Slot) => number,
): Map<Slot, Channel> {
  const taken = new Map<Slot, Channel>();
  for (const motor of motors) {
    const channel = channels[number(motor) - 1];
    if (channel && ![...taken.values()].includes(channel)) taken.set(motor, channel);
  }
  const left = channels.filter((channel) => ![...taken.values()].includes(channel));
  for (const motor of motors) if (!taken.has(motor) && left.length > 0) taken.set(motor, left.shift()!);
  return taken;
}
