/**
 * Which terminals of a plan's parts it makes sense to join: what parts need, pins that hear each other, what the plan's
 * links mean, and the power path. Terminals that are one conductor inside their part count as one.
 */
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { PortKind, PortPin } from '../../facts/catalogue/partModel';
import type { TerminalRef } from '../../facts/terms/names';
import { splitRef, terminalRef } from '../../facts/terms/names';
import type { Link, Plan } from '../../facts/plan/plan';
import { prepare } from '../planner/attempt';
import type { Assembly } from '../../facts/assembly/assembly';
import { assemble } from '../../facts/assembly/assembly';

/** A terminal that wants a partner, and all that would do. */
export interface Wanted {
  own: TerminalRef;
  pads: readonly TerminalRef[];
}

export interface Joinable {
  may(a: TerminalRef, b: TerminalRef): boolean;
  /** Everything that a terminal may be joined to. */
  partnersOf(ref: TerminalRef): readonly TerminalRef[];
  wanted: readonly Wanted[];
}

/** Which pin hears what; the others go to the pin of their own name. */
const heardBy: Readonly<Partial<Record<PortPin, PortPin>>> = { tx: 'rx', rx: 'tx', in: 'out', out: 'in' };

/** Kinds whose pins may be joined wherever they hear each other; motors and aerials belong to one place. */
const talking: readonly PortKind[] = ['serial', 'escData', 'video', 'lights', 'buzzer', 'i2c', 'sense', 'strength'];

export function joinable({ target, links, cells }: Plan, catalogue: Catalogue): Joinable {
  const assembly = assemble(target, catalogue);
  const { needs, path } = prepare({ slots: target.slots, catalogue, cells, wishes: [], pinned: [] });
  const certain: Wanted[] = [
    ...needs.map(({ own, pads }) => ({ own, pads: pads.map(({ ref }) => ref) })),
    ...path.joins.map(({ own, to }) => ({ own, pads: [to] })),
    ...links.flatMap((link) => wantedBy(link, assembly)),
  ];
  const possible = talkingPairs(assembly);
  const conductor = (ref: TerminalRef) => `${splitRef(ref).slot}:${assembly.terminal(ref)?.node ?? ''}`;
  const pairs = new Map<string, Set<string>>();
  const add = (a: string, b: string) => pairs.set(a, (pairs.get(a) ?? new Set()).add(b));
  for (const { own, pads } of [...certain, ...possible]) {
    for (const pad of pads) {
      add(conductor(own), conductor(pad));
      add(conductor(pad), conductor(own));
    }
  }
  const all = new Map<string, TerminalRef[]>();
  for (const slot of Object.keys(target.slots)) {
    for (const { id, holds, form } of assembly.model(slot)!.terminals) {
      const ref = terminalRef(slot, id);
      if (holds > 0 || form === 'tail') all.set(conductor(ref), [...(all.get(conductor(ref)) ?? []), ref]);
    }
  }
  return {
    may: (a, b) => pairs.get(conductor(a))?.has(conductor(b)) ?? false,
    partnersOf: (ref) => [...(pairs.get(conductor(ref)) ?? [])].flatMap((theirs) => all.get(theirs) ?? []),
    wanted: certain,
  };
}

/** What a link joins, pin by pin; of motor leads every one to every phase of its channel. */
function wantedBy({ ends: [own, other] }: Link, assembly: Assembly): Wanted[] {
  if (!own || !other) return [];
  const pins = ({ slot, port }: Link['ends'][number]) =>
    (assembly.model(slot)?.terminals ?? []).flatMap(({ id, roles }) =>
      roles.flatMap((role) =>
        role.is === 'port' && role.port === port ? [{ ref: terminalRef(slot, id), pin: role.pin }] : [],
      ),
    );
  const phases = assembly.model(own.slot)?.ports.find(({ id }) => id === own.port)?.kind === 'motorPhase';
  return pins(own).flatMap(({ ref, pin }) => {
    const pads = pins(other)
      .filter((theirs) => phases || theirs.pin === (heardBy[pin] ?? pin))
      .map((pin) => pin.ref);
    return pads.length > 0 ? [{ own: ref, pads }] : [];
  });
}

/** Every pin with the pins of other parts that hear it, whether anybody wishes it or not. */
function talkingPairs(target: Assembly): Wanted[] {
  const pins = Object.keys(target.build.slots).flatMap((slot) => {
    const { terminals, ports } = target.model(slot)!;
    return terminals.flatMap(({ id, roles }) =>
      roles.flatMap((role) => {
        const kind = role.is === 'port' ? ports.find((port) => port.id === role.port)?.kind : undefined;
        return role.is === 'port' && kind && talking.includes(kind)
          ? [{ slot, ref: terminalRef(slot, id), pin: role.pin, kind: kind === 'escData' ? 'serial' : kind }]
          : [];
      }),
    );
  });
  return pins.map(({ slot, ref, pin, kind }) => ({
    own: ref,
    pads: pins
      .filter((theirs) => theirs.slot !== slot && theirs.kind === kind && theirs.pin === (heardBy[pin] ?? pin))
      .map((pin) => pin.ref),
  }));
}
