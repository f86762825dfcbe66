/**
 * Changes of a plan that might mend a finding, the likeliest first: a plug put straight, two ends exchanged, an end moved, a
 * wire that is missing, another gauge, a wire out, another part. Only what makes sense to join is tried.
 */
import type { Build, Wire, WireEnd } from '../../facts/assembly/build';
import { landedOn } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { PartKind } from '../../facts/catalogue/partModel';
import type { Slot, TerminalRef, WireId } from '../../facts/terms/names';
import { splitRef, tailWireId } from '../../facts/terms/names';
import type { Plan } from '../../facts/plan/plan';
import type { PlanChange } from '../../facts/plan/planChange';
import { wireLengthMm } from '../../physics/geometry/place';
import type { Finding } from '../../judgement/rules/finding';
import type { Netlist } from '../../facts/wiring/netlist';
import { netlist } from '../../facts/wiring/netlist';
import { terminalUnder } from '../../facts/wiring/terminalUnder';
import type { Joinable, Wanted } from './joinable';
import { joinable } from './joinable';
import { portAsWired } from './portAsWired';
import { hasRole } from '../../facts/catalogue/roles';
import type { Assembly } from '../../facts/assembly/assembly';
import { assemble } from '../../facts/assembly/assembly';

export interface Remedy {
  /** What it does, for the key that does it. */
  says: string;
  changes: readonly PlanChange[];
}

const gauges = [10, 12, 14, 16, 18, 20, 22, 24, 26, 28, 30];
/** Of the pads that would do, the nearest. */
const mostPads = 6;
/** Parts that are exchanged without making everything anew. */
const exchangeable: readonly PartKind[] = [
  'capacitor',
  'esc',
  'battery lead',
  'receiver',
  'video unit',
  'camera',
  'positioning',
  'lights',
  'buzzer',
  'motor',
  'regulator',
  'antenna',
];
const mostModels = 12;

interface Scene {
  target: Build;
  assembly: Assembly;
  nets: Netlist;
  /** Without the wires that are suspected: what they joined by mistake is apart there. */
  without: Netlist;
  sense: Joinable;
  /** Slots that the finding is about. */
  slots: ReadonlySet<Slot>;
}

/** Every candidate once; an empty list when nothing here could help. */
export function candidates(plan: Plan, catalogue: Catalogue, found: Finding): Remedy[] {
  const { target } = plan;
  const assembly = assemble(target, catalogue);
  const sense = joinable(plan, catalogue);
  const named = found.wires.flatMap((id) => target.wires[id] ?? []);
  const slots = new Set([
    ...named.flatMap((wire) => slotsOf(assembly, wire)),
    ...found.at.map((ref) => splitRef(ref).slot),
  ]);
  const odd = Object.values(target.wires).filter((wire) => !makesSense(assembly, sense, wire));
  const suspects = [...new Set([...named.filter((wire) => odd.includes(wire)), ...odd, ...named])];
  const innocent = Object.fromEntries(Object.entries(target.wires).filter(([, wire]) => !suspects.includes(wire)));
  const scene: Scene = {
    target,
    assembly,
    nets: netlist(assembly),
    without: netlist(assemble({ ...target, wires: innocent }, catalogue)),
    sense,
    slots,
  };
  return [
    ...portAsWired(plan, catalogue, found),
    ...straightened(scene),
    ...exchanges(scene, suspects),
    ...suspects.flatMap((wire) => moves(scene, wire)),
    ...missing(scene),
    ...named.flatMap(otherGauges),
    ...named.flatMap(otherColours),
    ...named.flatMap(insulated),
    ...suspects
      .filter(({ from }) => from !== 'tail')
      .map((wire) => ({ says: `Take ${wire.id} out`, changes: [change(wire, null)] })),
    ...otherModels(scene, found),
  ];
}

function change(before: Wire, after: Wire | null): PlanChange {
  return { path: `wires/${before.id}`, before, after };
}

function slotsOf(target: Assembly, { ends }: Wire): Slot[] {
  return ends.flatMap((end) => terminalUnder(target, end) ?? []).map((ref) => splitRef(ref).slot);
}

function under({ assembly }: Scene, wire: Wire): readonly (TerminalRef | null)[] {
  return wire.ends.map((end) => terminalUnder(assembly, end));
}

function makesSense(target: Assembly, sense: Joinable, { ends }: Wire): boolean {
  const [a, b] = ends.map((end) => terminalUnder(target, end));
  return !a || !b || sense.may(a, b);
}

/** Plugs that sit turned or one position off. */
function straightened({ target }: Scene): Remedy[] {
  return Object.entries(target.mates)
    .filter(([, { shift, mirrored }]) => shift !== 0 || mirrored)
    .map(([id, mate]) => ({
      says: `Seat plug ${id} straight, every contact on its own pin`,
      changes: [{ path: `mates/${id}`, before: mate, after: { ...mate, shift: 0, mirrored: false } }],
    }));
}

/** Two ends change places, so that both wires then join what belongs together. */
function exchanges(scene: Scene, suspects: readonly Wire[]): Remedy[] {
  const done = new Set<string>();
  return suspects.flatMap((a) =>
    Object.values(scene.target.wires)
      .filter(({ id }) => id !== a.id)
      .flatMap((b) =>
        ([0, 1] as const).flatMap((i) =>
          ([0, 1] as const).flatMap((j): Remedy[] => {
            const name = [`${a.id}.${i}`, `${b.id}.${j}`].sort().join(' ');
            if (done.has(name) || a.ends[i].by === 'factory' || b.ends[j].by === 'factory') return [];
            const [[a0, a1], [b0, b1]] = [under(scene, a), under(scene, b)];
            const [fromA, fromB] = [i === 0 ? a0 : a1, j === 0 ? b0 : b1];
            const [otherA, otherB] = [i === 0 ? a1 : a0, j === 0 ? b1 : b0];
            // On one conductor it would change nothing.
            if (!fromA || !fromB || !otherA || !otherB || scene.without.netOf(fromA) === scene.without.netOf(fromB))
              return [];
            if (!scene.sense.may(fromB, otherA) || !scene.sense.may(fromA, otherB)) return [];
            done.add(name);
            return [
              {
                says: `Exchange ${a.id} and ${b.id} at ${placeWords(scene, fromA, fromB)}`,
                changes: [change(a, moved(a, i, b.ends[j])), change(b, moved(b, j, a.ends[i]))],
              },
            ];
          }),
        ),
      ),
  );
}

/** One end to another free pad, where it joins what belongs together; also an end that is in the air. */
function moves(scene: Scene, wire: Wire): Remedy[] {
  const ends = under(scene, wire);
  return ([0, 1] as const).flatMap((end): Remedy[] => {
    const other = ends[end === 0 ? 1 : 0];
    if (wire.ends[end].by === 'factory' || !other) return [];
    const now = ends[end];
    return nearestFree(
      scene,
      other,
      scene.sense.partnersOf(other).filter((ref) => !now || scene.without.netOf(ref) !== scene.without.netOf(now)),
    ).map(({ ref, at }) => ({
      says: `Move ${wire.id} to ${spoken(scene, ref)}`,
      changes: [change(wire, moved(wire, end, at))],
    }));
  });
}

/** A wire for a terminal that wants a partner and has none; those of the parts in question first. */
function missing(scene: Scene): Remedy[] {
  const { target, nets, sense, slots } = scene;
  const alone = sense.wanted.filter(({ own, pads }) => !pads.some((pad) => nets.netOf(pad) === nets.netOf(own)));
  const here = ({ own }: Wanted) => slots.has(splitRef(own).slot);
  return [...alone.filter(here), ...alone.filter((one) => !here(one))].flatMap(({ own, pads }) =>
    nearestFree(scene, own, pads).flatMap(({ ref, at }): Remedy[] => {
      const wire = newWire(scene, own, at, ref);
      return wire && !target.wires[wire.id]
        ? [
            {
              says: `Add a wire from ${spoken(scene, own)} to ${spoken(scene, ref)}`,
              changes: [{ path: `wires/${wire.id}`, before: null, after: wire }],
            },
          ]
        : [];
    }),
  );
}

/** Where a wire could land: pads with room, and pins of plugs whose housing has an empty position. */
function nearestFree(
  scene: Scene,
  from: TerminalRef,
  refs: readonly TerminalRef[],
): { ref: TerminalRef; at: WireEnd }[] {
  const { target, assembly } = scene;
  const taken = new Map<TerminalRef, number>();
  for (const wire of Object.values(target.wires))
    for (const ref of under(scene, wire)) if (ref) taken.set(ref, (taken.get(ref) ?? 0) + 1);
  return [...new Set(refs)]
    .flatMap((ref) => {
      const { holds, form } = assembly.terminal(ref)!;
      if ((taken.get(ref) ?? 0) >= Math.max(1, holds)) return [];
      const at =
        form === 'pin'
          ? cavityOf(scene, ref)
          : form === 'tail'
            ? null
            : ({
                at: { on: 'terminal', ref },
                by: 'solder',
                lay: form === 'hole' ? 'through' : 'flat',
              } satisfies WireEnd);
      return at ? [{ ref, at, mm: wireLengthMm(assembly, from, ref) }] : [];
    })
    .sort((a, b) => a.mm - b.mm)
    .slice(0, mostPads);
}

/** The position in the housing that sits on a pin; null when nothing sits there. */
function cavityOf({ target, assembly }: Scene, ref: TerminalRef): WireEnd | null {
  const { slot, terminal } = splitRef(ref);
  for (const { a, b, shift } of Object.values(target.mates)) {
    if (!('slot' in a) || a.slot !== slot || !('housing' in b)) continue;
    const pin =
      assembly
        .model(slot)!
        .connectors.find(({ id }) => id === a.connector)
        ?.pins.indexOf(terminal) ?? -1;
    if (pin >= 0) return { at: { on: 'cavity', housing: b.housing, position: pin + 1 + shift }, by: 'crimp' };
  }
  return null;
}

/** From a terminal that has a lead of its own, that lead; else a wire from stock. null: nothing can be landed there. */
function newWire(scene: Scene, own: TerminalRef, to: WireEnd, pad: TerminalRef): Wire | null {
  const { target, assembly } = scene;
  const { slot, terminal } = splitRef(own);
  const tail = assembly.model(slot)!.tails.find((one) => one.terminal === terminal);
  if (tail) {
    const { awg, colour, insulation, lengthMm } = tail;
    return {
      id: tailWireId(slot, terminal),
      awg,
      colour,
      insulation,
      from: 'tail',
      tailOf: own,
      lengthMm,
      via: [],
      ends: [{ at: { on: 'terminal', ref: own }, by: 'factory' }, to],
    };
  }
  const one = assembly.terminal(own)!;
  const from: WireEnd | null =
    one.form === 'pin' ? cavityOf(scene, own) : { at: { on: 'terminal', ref: own }, by: 'solder', lay: 'flat' };
  if (!from) return null;
  const other = assembly.terminal(pad)!;
  const colour = hasRole(one, 'ground') ? 'black' : hasRole(one, 'supply') ? 'red' : 'violet';
  return {
    id: freeWireId(target),
    awg: Math.max(26, one.thickestAwg, other.thickestAwg),
    colour,
    insulation: 'silicone',
    from: 'stock',
    lengthMm: wireLengthMm(assembly, own, pad),
    via: [],
    ends: [from, to],
  };
}

function freeWireId({ wires }: Build): WireId {
  let number = Object.keys(wires).length + 1;
  while (`W${number}` in wires) number++;
  return `W${number}`;
}

function moved(wire: Wire, end: 0 | 1, to: WireEnd): Wire {
  const next: WireEnd = { ...to, by: to.at.on === 'cavity' ? 'crimp' : 'solder' };
  return { ...wire, ends: end === 0 ? [next, wire.ends[1]] : [wire.ends[0], next] };
}

function otherGauges(wire: Wire): Remedy[] {
  return wire.from === 'tail'
    ? []
    : gauges
        .filter((awg) => awg !== wire.awg)
        .sort((a, b) => Math.abs(a - wire.awg) - Math.abs(b - wire.awg))
        .slice(0, 5)
        .map((awg) => ({ says: `Make ${wire.id} ${awg} AWG`, changes: [change(wire, { ...wire, awg })] }));
}

function otherColours(wire: Wire): Remedy[] {
  return wire.from === 'tail'
    ? []
    : ['red', 'black']
        .filter((colour) => colour !== wire.colour)
        .map((colour) => ({ says: `Make ${wire.id} ${colour}`, changes: [change(wire, { ...wire, colour })] }));
}

function insulated(wire: Wire): Remedy[] {
  const end = wire.ends.findIndex(({ at }) => at.on === 'air' && at.end === 'bare');
  return end < 0
    ? []
    : [
        {
          says: `Insulate the free end of ${wire.id}`,
          changes: [
            change(wire, { ...wire, ends: end === 0 ? [insulatedEnd, wire.ends[1]] : [wire.ends[0], insulatedEnd] }),
          ],
        },
      ];
}

const insulatedEnd: WireEnd = { at: { on: 'air', end: 'insulated' }, by: 'none' };

/** Another part of the kind on which every wire finds the same terminal. */
function otherModels({ target, assembly, slots }: Scene, { at }: Finding): Remedy[] {
  const about = new Set(at.length > 0 ? at.map((ref) => splitRef(ref).slot) : slots);
  return [...about].flatMap((slot): Remedy[] => {
    const fitted = target.slots[slot]!;
    const { id: own, kind, connectors } = assembly.catalogue.model(fitted);
    if (!exchangeable.includes(kind)) return [];
    const used = new Set(
      Object.values(target.wires)
        .flatMap(({ ends }) => ends.flatMap((end) => landedOn(end) ?? []))
        .filter((ref) => splitRef(ref).slot === slot)
        .map((ref) => splitRef(ref).terminal),
    );
    const fits = assembly.catalogue.models.filter(
      (model) =>
        model.id !== own &&
        model.kind === kind &&
        [...used].every((terminal) => model.terminals.some(({ id }) => id === terminal)) &&
        connectors.every(({ id, family }) => model.connectors.some((one) => one.id === id && one.family === family)),
    );
    return fits.slice(0, mostModels).map(({ id, revision, name }) => ({
      says: `Take ${name} as ${slot}`,
      changes: [
        { path: `slots/${slot}` as const, before: fitted, after: { ...fitted, model: id, revision, part: null } },
      ],
    }));
  });
}

function spoken({ assembly }: Scene, ref: TerminalRef): string {
  return `${splitRef(ref).slot} ${assembly.terminal(ref)!.printed}`;
}

function placeWords(scene: Scene, a: TerminalRef, b: TerminalRef): string {
  return splitRef(a).slot === splitRef(b).slot
    ? `${spoken(scene, a)} and ${scene.assembly.terminal(b)!.printed}`
    : `${spoken(scene, a)} and ${spoken(scene, b)}`;
}
