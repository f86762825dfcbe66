/** Wires, housings and mates of a solved model, drawn one join at a time. */
import type { Build, Housing, Mate, Wire, WireEnd } from '../../facts/assembly/build';
import type { Connector, PartModel, Terminal } from '../../facts/catalogue/partModel';
import type { HousingId, Slot, TerminalRef, WireId } from '../../facts/terms/names';
import { splitRef, tailWireId } from '../../facts/terms/names';
import type { Pinned } from '../../facts/plan/plan';
import type { Need } from './needs';
import type { Assembly } from '../../facts/assembly/assembly';
import type { Option } from './ways';
import type { Join, PowerPath } from './fixedJoins';
import type { HeldOver } from './heldOver';
import { lookUp } from '../../facts/terms/lookUp';
import { connectorMates } from './connectorMates';
import { WiresLeftOver } from './wiresLeftOver';

export interface Chosen {
  assembly: Assembly;
  path: PowerPath;
  needs: readonly Need[];
  /** Options that were chosen. */
  options: readonly Option[];
  /** Pad by own terminal. */
  pads: ReadonlyMap<TerminalRef, TerminalRef>;
  pinned: readonly Pinned[];
  /** Wires that are there already: a wire between the same terminals keeps its name, body and housings. */
  held: HeldOver;
  purposes: Readonly<Record<string, string>>;
}

const signalAwg = 28;

const plusColour = 'red';

const minusColour = 'black';

const signalColours: Readonly<Record<string, string>> = {
  tx: 'yellow',
  rx: 'green',
  in: 'white',
  out: 'yellow',
  sda: 'blue',
  scl: 'white',
  minus: 'black',
  plus: 'red',
};

/** Wires, housings and mates as they come. */
export class Drawing {
  private readonly wires: Record<WireId, Wire> = {};
  private readonly housings: Record<HousingId, Housing> = {};
  private readonly mates: Record<string, Mate> = {};
  private readonly socketHousing = new Map<string, HousingId>();
  private readonly bundles = new Map<string, string>();
  private readonly leftOver: WiresLeftOver;
  private numbers = { wire: 0, lead: 0 };

  /** @param joins Everything that will be drawn. */
  constructor(
    private readonly chosen: Chosen,
    joins: readonly Join[],
  ) {
    this.leftOver = new WiresLeftOver(chosen, joins);
  }

  build(): Build {
    const { assembly, held } = this.chosen;
    return {
      ...assembly.build,
      wires: this.wires,
      housings: this.housings,
      mates: { ...Object.fromEntries(connectorMates(this.chosen.assembly)), ...this.mates },
      contacts: held.build.contacts,
    };
  }

  wire(join: Join): Wire {
    const tail = this.tailOf(join.own);
    const bundle = tail ? null : this.bundleOf(join);
    const ends = [this.end(join.own, bundle, 'E', tail !== null), this.end(join.to, bundle, 'F', false)] as const;
    const kept = this.keptBetween(ends[0], ends[1]);
    const id = tail
      ? tailWireId(splitRef(join.own).slot, splitRef(join.own).terminal)
      : (kept?.id ?? (bundle ? this.nextInBundle(bundle, join) : this.nextWire()));
    const body = tail
      ? {
          awg: tail.awg,
          colour: tail.colour,
          insulation: tail.insulation,
          from: 'tail' as const,
          tailOf: join.own,
          lengthMm: tail.lengthMm,
          via: [],
        }
      : {
          awg: this.gauge(join),
          colour: this.colour(join),
          insulation: 'silicone',
          from: bundle ? ('supplied' as const) : ('stock' as const),
          lengthMm: null,
          via: [],
          ...(bundle ? { bundle } : {}),
        };
    const made: Wire = { id, ...body, ends: [ends[0], ends[1]] };
    const isLoose = !tail && !bundle && !kept;
    // What hangs on a part goes with it.
    const stays = kept && (!tail || this.chosen.held.stays(splitRef(join.own).slot)) ? kept : null;
    const wire = stays ?? (isLoose ? this.leftOver.take(made) : null) ?? made;
    this.wires[wire.id] = wire;
    return wire;
  }

  private tailOf(own: TerminalRef) {
    const { slot, terminal } = splitRef(own);
    return this.chosen.assembly.model(slot)!.tails.find((tail) => tail.terminal === terminal) ?? null;
  }

  private socketOf(ref: TerminalRef): { slot: Slot; connector: Connector; position: number } | null {
    const { slot, terminal } = splitRef(ref);
    const model: PartModel = this.chosen.assembly.model(slot)!;
    const connector = model.connectors.find(({ pins }) => pins.includes(terminal));
    return connector ? { slot, connector, position: connector.pins.indexOf(terminal) + 1 } : null;
  }

  /** Wires of one part's plug, or into one socket, are one lead. */
  private bundleOf({ own, to }: Join): string | null {
    const socket = this.socketOf(own) ?? this.socketOf(to);
    if (!socket) return null;
    const key = this.socketOf(own)
      ? `${socket.slot}.${socket.connector.id}`
      : `${splitRef(own).slot} to ${socket.slot}.${socket.connector.id}`;
    const known = this.bundles.get(key);
    if (known) return known;
    let name = '';
    do name = `C${++this.numbers.lead}`;
    while (
      Object.values(this.chosen.held.build.wires).some(({ bundle }) => bundle === name && !this.keptBundle(key, name))
    );
    this.bundles.set(key, name);
    return name;
  }

  /** True when that lead of the build as it is sits in the same socket. */
  private keptBundle(key: string, name: string): boolean {
    return Object.values(this.chosen.held.build.mates).some(
      ({ a, b }) => 'slot' in a && 'housing' in b && `${a.slot}.${a.connector}` === key && b.housing === `${name}E`,
    );
  }

  private end(ref: TerminalRef, bundle: string | null, side: 'E' | 'F', factory: boolean): WireEnd {
    if (factory) return { at: { on: 'terminal', ref }, by: 'factory' };
    const socket = this.socketOf(ref);
    if (!socket) {
      const { form } = this.chosen.assembly.terminal(ref)!;
      return {
        at: { on: 'terminal', ref },
        by: 'solder',
        lay: layOf(form),
      };
    }
    return {
      at: { on: 'cavity', housing: this.housingFor(socket, bundle, side), position: socket.position },
      by: 'crimp',
    };
  }

  private housingFor(
    { slot, connector }: { slot: Slot; connector: Connector },
    bundle: string | null,
    side: 'E' | 'F',
  ): HousingId {
    const key = `${slot}.${connector.id}`;
    const known = this.socketHousing.get(key);
    if (known) return known;
    const kept = this.keptPlug(slot, connector.id);
    const id = kept?.housing.id ?? this.freeHousing(bundle ?? `H${slot}${connector.id}`, side);
    this.socketHousing.set(key, id);
    this.housings[id] = kept?.housing ?? {
      id,
      family: connector.family,
      pitchMm: connector.pitchMm,
      ways: connector.pins.length,
      key: connector.key,
    };
    this.mates[kept?.id ?? `J${id}`] = kept?.mate ?? {
      a: { slot, connector: connector.id },
      b: { housing: id },
      shift: 0,
      mirrored: false,
      glued: false,
    };
    return id;
  }

  /** What is plugged in there already stays in, under its own name. */
  private keptPlug(slot: Slot, connector: string): { id: string; mate: Mate; housing: Housing } | null {
    const { mates, housings } = this.chosen.held.build;
    for (const [id, mate] of Object.entries(mates)) {
      const sides = [mate.a, mate.b];
      const isHere = sides.some((side) => 'slot' in side && side.slot === slot && side.connector === connector);
      const plug = sides.find((side) => 'housing' in side);
      const housing = plug && lookUp(housings, plug.housing);
      if (isHere && housing && mate.shift === 0 && !mate.mirrored) return { id, mate, housing };
    }
    return null;
  }

  /** E on the part's side, F on the board's; a lead with plugs in two sockets of the board goes on with G. */
  private freeHousing(name: string, side: 'E' | 'F'): HousingId {
    for (let code = side.charCodeAt(0); ; code++) {
      const id = `${name}${String.fromCharCode(code)}`;
      if (!Object.hasOwn(this.housings, id) && !Object.hasOwn(this.chosen.held.build.housings, id)) return id;
    }
  }

  /** A wire of the build as it is with its ends where they are wanted. */
  private keptBetween(a: WireEnd, b: WireEnd): Wire | null {
    const key = (end: WireEnd) => {
      if (end.at.on === 'terminal') return end.at.ref;
      if (end.at.on === 'cavity') return `${end.at.housing}#${end.at.position}`;
      return '';
    };
    return (
      Object.values(this.chosen.held.build.wires).find(
        ({ id, ends }) =>
          !Object.hasOwn(this.wires, id) &&
          ((key(ends[0]) === key(a) && key(ends[1]) === key(b)) ||
            (key(ends[0]) === key(b) && key(ends[1]) === key(a))),
      ) ?? null
    );
  }

  private nextWire(): WireId {
    let id = '';
    do id = `W${++this.numbers.wire}`;
    while (Object.hasOwn(this.chosen.held.build.wires, id) || Object.hasOwn(this.wires, id));
    return id;
  }

  /** Named by the contact it sits on. */
  private nextInBundle(bundle: string, { own, to }: Join): WireId {
    let number = (this.socketOf(own) ?? this.socketOf(to))!.position;
    while (
      Object.hasOwn(this.wires, `${bundle}-${number}`) ||
      Object.hasOwn(this.chosen.held.build.wires, `${bundle}-${number}`)
    )
      number++;
    return `${bundle}-${number}`;
  }

  private pin(what: Pinned['what'], own: TerminalRef): string | undefined {
    return this.chosen.pinned.find((pinned) => pinned.what === what && pinned.of === own)?.value;
  }

  private gauge({ own, to, carries }: Join): number {
    const pinned = Number(this.pin('gauge', own));
    if (pinned > 0) return pinned;
    const limits = [own, to].map((ref) => this.chosen.assembly.terminal(ref)!.thickestAwg);
    const need = this.chosen.needs.find((need) => need.own === own);
    if (need?.awg === 'thick') return Math.max(...limits);
    const wanted = need?.awg ?? (carries === 'signal' ? signalAwg : 26);
    return Math.max(wanted, ...limits);
  }

  private colour({ own, carries }: Join): string {
    const pinned = this.pin('colour', own);
    if (pinned) return pinned;
    if (carries === 'supply') return plusColour;
    if (carries === 'ground') return minusColour;
    const role = this.chosen.assembly.terminal(own)!.roles.find((role) => role.is === 'port');
    return (role?.is === 'port' && lookUp(signalColours, role.pin)) || 'violet';
  }
}

function layOf(form: Terminal['form']) {
  if (form === 'hole') return 'through';
  if (form === 'cup') return 'cup';
  return 'flat';
}
