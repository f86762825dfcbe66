/**
 * What really happens to a build when its pack is plugged in: kill when a terminal sees more than it withstands, a
 * supply is reversed or something carries a short; stop when a part is not fed or a wish's ports do not meet.
 */
import type { Build, Catalogue, Link, PartModel, Port } from '@junctor/core';
import type { Powered } from './dcSolve';
import { groundNode, powerUp } from './dcSolve';
import { motorsThroughSignal, overcurrent } from './motorCurrents';
import { onPaper } from './onPaper';

export type Truth = 'kill' | 'stop' | 'fine';

export interface Outcome {
  is: Truth;
  because: string;
}

interface Case {
  build: Build;
  catalogue: Catalogue;
  links: readonly Link[];
  cells: readonly [number, number];
}

const shortA = 200;
/** Below its limit a pin's own clamp takes what comes weakly through other parts. */
const clampV = 2;
const wished: readonly Port['kind'][] = ['motorSignal', 'i2c', 'buzzer', 'lights', 'video'];
/** A part whose ground floats returns its current through signal pins: above these volts that destroys them. */
const harmlessV = 6;

/** `original` is the build as it was wired right: what was fed there must be fed here. */
export function truth(one: Case, original: Build): Outcome {
  const [emptyV, fullV] = [one.cells[0] * 3, one.cells[1] * 4.2];
  const states = (['high', 'low'] as const).map((phases) =>
    harm(one, powerUp(one.build, one.catalogue, fullV, phases)),
  );
  const harmed = states.find(({ is }) => is === 'kill') ?? states.find(({ is }) => is === 'stop');
  if (harmed?.is === 'kill') return harmed;
  const through = motorsThroughSignal(one.build, one.catalogue);
  if (through) return { is: 'kill', because: `the motors of ${through} return through a signal lead` };
  if (harmed) return harmed;
  const unsuited = onPaper(one.build, one.catalogue);
  if (unsuited) return { is: 'stop', because: unsuited };
  const hot = overcurrent(one.build, one.catalogue);
  if (hot) return { is: 'stop', because: hot };
  const fedBefore = fed(original, one.catalogue, powerUp(original, one.catalogue, emptyV, 'low'));
  const empty = powerUp(one.build, one.catalogue, emptyV, 'low');
  const fedNow = fed(one.build, one.catalogue, empty);
  const unfed = [...fedBefore].find((slot) => !fedNow.has(slot));
  if (unfed) return { is: 'stop', because: `${unfed} is not fed` };
  const unserved = [...one.links, ...joinedBefore({ ...one, build: original })].find(
    (link) => !served(one, link, empty),
  );
  return unserved ? { is: 'stop', because: `${unserved.id} does not work` } : { is: 'fine', because: '' };
}

/** Every channel, bus, buzzer and strip that was joined in the build as it was right is a wish, named or not. */
function joinedBefore({ build, catalogue, cells }: Case): Link[] {
  const power = powerUp(build, catalogue, cells[0] * 3, 'low');
  const pins = Object.entries(build.slots).flatMap(([slot, fitted]) => {
    const model = catalogue.model(fitted);
    return model.terminals.flatMap((terminal) =>
      terminal.roles.flatMap((role) => {
        const port = role.is === 'port' ? model.ports.find(({ id }) => id === role.port) : undefined;
        return port && wished.includes(port.kind) ? [{ slot, port, point: `${slot}:${terminal.node}` }] : [];
      }),
    );
  });
  const links = pins.flatMap((own): Link[] => {
    const other =
      own.port.way === 'gives'
        ? undefined
        : pins.find(
            (pin) =>
              pin.slot !== own.slot &&
              pin.port.kind === own.port.kind &&
              pin.port.way !== 'takes' &&
              power.joined(pin.point, own.point),
          );
    if (!other || (own.port.way === 'both' && own.slot > other.slot)) return [];
    return [
      {
        id: `${own.slot} ${own.port.id}`,
        purpose: own.port.kind,
        ends: [own, other].map(({ slot, port }) => ({ slot, port: port.id })),
        wires: [],
        set: {},
      },
    ];
  });
  return [...new Map(links.map((link) => [link.id, link])).values()];
}

function harm({ build, catalogue }: Case, power: Powered): Outcome {
  const kill = (because: string): Outcome => ({ is: 'kill', because });
  if (power.batteryA > shortA || power.phaseA > shortA) return kill('a short');
  let worst: Outcome = { is: 'fine', because: '' };
  for (const [slot, fitted] of Object.entries(build.slots)) {
    const model = catalogue.model(fitted);
    const ground = groundNode(model);
    const base = ground ? power.volts(slot, ground) : 0;
    const supplies = model.terminals.flatMap((terminal) =>
      terminal.roles.flatMap((role) =>
        role.is === 'supply' && role.dir === 'takes' ? [{ ...terminal, most: role.volts[1] }] : [],
      ),
    );
    const feedV = Math.max(0, ...supplies.map(({ node }) => power.volts(slot, node)));
    const reversed = supplies.find(({ node }) => power.grounded(slot, node) && base > 0.5);
    if (reversed) return kill(`${slot} is fed backwards`);
    const lives = model.elements.some(({ is }) => is === 'load' || is === 'regulator');
    if (ground && lives && !power.grounded(slot, ground)) {
      if (feedV > harmlessV) return kill(`${slot} floats at ${base.toFixed(1)} V`);
      if (feedV > 1) worst = { is: 'stop', because: `${slot} has no return` };
      continue;
    }
    for (const terminal of model.terminals) {
      if (terminal.roles.some(({ is }) => is === 'ground' || is === 'metal')) continue;
      const volts = power.volts(slot, terminal.node) - base;
      if (volts > terminal.withstandV[1] + 0.01 || (ground && volts < terminal.withstandV[0] - clampV))
        return kill(`${slot}.${terminal.id} sees ${volts.toFixed(1)} V`);
    }
    const shorted = model.elements.find(
      (element) =>
        element.is === 'regulator' &&
        power.volts(slot, element.input) - base >= element.minInV &&
        power.volts(slot, element.output) - base < element.outV / 2,
    );
    if (shorted) worst = { is: 'stop', because: `${slot} ${shorted.id} is shorted` };
    const over = supplies.find(({ node, most }) => power.volts(slot, node) - base > most * 1.001);
    if (over) return kill(`${slot}.${over.id} is fed ${power.volts(slot, over.node).toFixed(1)} V`);
  }
  return worst;
}

/** Slots whose every supply that gets volts gets enough. */
function fed(build: Build, catalogue: Catalogue, power: Powered): Set<string> {
  return new Set(
    Object.entries(build.slots)
      .filter(([slot, fitted]) => {
        const model = catalogue.model(fitted);
        // A capacitor lives on nothing.
        if (model.kind === 'capacitor') return true;
        const ground = groundNode(model);
        const base = ground ? power.volts(slot, ground) : 0;
        return model.terminals.some((terminal) =>
          terminal.roles.some((role) => {
            if (role.is !== 'supply' || role.dir !== 'takes') return false;
            const volts = power.volts(slot, terminal.node) - base;
            return (
              volts > 0.5 &&
              volts >= role.volts[0] * 0.98 &&
              volts <= role.volts[1] * 1.001 &&
              (!ground || power.grounded(slot, ground))
            );
          }),
        );
      })
      .map(([slot]) => slot),
  );
}

interface Pin {
  slot: string;
  model: PartModel;
  port: Port;
  pin: string;
  point: string;
}

function served({ build, catalogue, links }: Case, link: Link, power: Powered): boolean {
  const [own, other] = link.ends;
  if (!own || !other) return true;
  const pins = Object.entries(build.slots).flatMap(([slot, fitted]): Pin[] => {
    const model = catalogue.model(fitted);
    // A pad with alternatives is what some link says it is, else the first of them.
    const named = (port: string) =>
      links.some(({ ends }) => ends.some((end) => end.slot === slot && end.port === port));
    return model.terminals.flatMap((terminal): Pin[] => {
      const roles = terminal.roles.flatMap((role) => (role.is === 'port' ? [role] : []));
      const role = roles.find(({ port }) => named(port)) ?? roles[0];
      const port = model.ports.find(({ id }) => id === role?.port);
      return role && port ? [{ slot, model, port, pin: role.pin, point: `${slot}:${terminal.node}` }] : [];
    });
  });
  const mine = pins.filter(({ slot, port }) => slot === own.slot && port.id === own.port);
  const theirs = pins.filter(({ slot, port }) => slot === other.slot && port.id === other.port);
  if (mine.length === 0 || theirs.length === 0) return false;
  const { kind } = mine[0]!.port;
  const meet = (a: Pin, b: Pin) => power.joined(a.point, b.point);
  // A signal held by a ground or a supply says nothing.
  const held = Object.entries(build.slots).flatMap(([slot, fitted]) =>
    catalogue
      .model(fitted)
      .terminals.filter((terminal) => terminal.roles.some(({ is }) => is === 'ground' || is === 'supply'))
      .map((terminal) => `${slot}:${terminal.node}`),
  );
  const signals = mine.filter(({ pin, port }) => pin !== 'plus' && port.kind !== 'motorPhase');
  if (signals.some(({ point }) => held.some((rail) => power.joined(point, rail)))) return false;
  const others = (a: Pin, pin: string, like: Port['kind'] = kind) =>
    pins.filter((other) => other.slot !== a.slot && other.port.kind === like && other.pin === pin && meet(a, other));
  switch (kind) {
    case 'motorPhase': {
      const met = mine.flatMap((lead) => theirs.filter((phase) => meet(lead, phase)).map(({ pin }) => pin));
      return met.length === mine.length && new Set(met).size === mine.length;
    }
    case 'motorSignal':
      return mine.every(
        (a) => theirs.some((b) => meet(a, b)) && others(a, 'out').length === 1 && others(a, 'in').length === 0,
      );
    case 'i2c':
      return mine.every((a) => others(a, a.pin).some(({ slot }) => slot === other.slot));
    case 'buzzer': {
      const minus = mine.find(({ pin }) => pin === 'minus');
      const plus = mine.find(({ pin }) => pin === 'plus');
      const plusV = plus ? power.volts(plus.slot, plus.point.slice(plus.slot.length + 1)) : 5;
      return (
        minus !== undefined &&
        theirs.some((b) => b.pin === 'minus' && meet(minus, b)) &&
        plusV > 4 &&
        plusV < 6 &&
        !(plus && meet(plus, minus))
      );
    }
    case 'serial':
    case 'escData':
      return serialServed(mine, theirs, pins, meet);
    default:
      return mine.every((a) => {
        const want = a.pin === 'in' ? 'out' : 'in';
        const drivers = a.pin === 'in' ? others(a, 'out').length : 1 + others(a, 'out').length;
        return theirs.some((b) => b.pin === want && meet(a, b)) && drivers === 1;
      });
  }
}

/**
 * Data in every direction that both ends have, on one port of the other part, which nobody else uses, in the same
 * sense.
 */
function serialServed(
  mine: readonly Pin[],
  theirs: readonly Pin[],
  pins: readonly Pin[],
  meet: (a: Pin, b: Pin) => boolean,
): boolean {
  const slot = theirs[0]!.slot;
  const needed = mine.filter((a) => theirs.some((b) => b.pin === cross(a.pin)));
  const used = needed.map((a) =>
    pins.find((b) => b.slot === slot && b.port.kind === theirs[0]!.port.kind && b.pin === cross(a.pin) && meet(a, b)),
  );
  if (used.some((pin) => !pin) || new Set(used.map((pin) => pin!.port.id)).size > 1) return false;
  return needed.every((a, index) => {
    const partner = used[index]!;
    const [sender, hears] = a.pin === 'tx' ? [a, partner] : [partner, a];
    const sense =
      sender.port.inversion === 'either' ||
      hears.port.inversion === 'either' ||
      sender.port.inversion === hears.port.inversion;
    const intruders = pins.filter(
      (pin) =>
        pin.slot !== a.slot &&
        pin.slot !== slot &&
        pin.port.kind === 'serial' &&
        pins.some((own) => own.slot === slot && own.port.id === partner.port.id && meet(own, pin)),
    );
    const like = pins.filter(
      (pin) => pin.slot !== a.slot && pin.port.kind === 'serial' && pin.pin === a.pin && meet(a, pin),
    );
    return sense && intruders.length === 0 && like.length === 0;
  });
}

function cross(pin: string): string {
  return pin === 'tx' ? 'rx' : 'tx';
}
