/**
 * Blind mutations of the shipped wiring: every landing moved to every pad of its board, every two landings swapped,
 * every wire dropped, one cell more. The truth comes from a plain walk over the conductors, written here, that knows
 * nothing of the rules: what gets more volts than it withstands, what shorts a supply, which pins still meet.
 */
import type { Build, TerminalRef, Wire } from '@junctor/core';
import { findTerminal, landedOn, makeCatalogue, modelIn } from '@junctor/core';
import { shippedModels, shippedTemplate } from '../catalogue';

export const catalogue = makeCatalogue(shippedModels());
export const plan = shippedTemplate('quad-serial-6s').plan;
const full = 25.2;

export interface Mutant {
  what: string;
  build: Build;
  cells: readonly [number, number];
}

function withEnd(build: Build, id: string, end: 0 | 1, ref: TerminalRef): Build {
  const wire = build.wires[id]!;
  const moved = { ...wire.ends[end], at: { on: 'terminal' as const, ref } };
  const ends: Wire['ends'] = end === 0 ? [moved, wire.ends[1]] : [wire.ends[0], moved];
  return { ...build, wires: { ...build.wires, [id]: { ...wire, ends } } };
}

function solderedEnds(build: Build): { id: string; end: 0 | 1; ref: TerminalRef }[] {
  return Object.values(build.wires).flatMap((wire) =>
    ([0, 1] as const).flatMap((end) => (wire.ends[end].by === 'solder' ? [{ id: wire.id, end, ref: landedOn(wire.ends[end])! }] : [])),
  );
}

/** All of them. */
export function mutants(): Mutant[] {
  const { target, cells } = plan;
  const ends = solderedEnds(target);
  const moved = ends.flatMap(({ id, end, ref }) => {
    const slot = ref.split('.')[0]!;
    return modelIn(target, slot, catalogue)!.terminals
      .filter((one) => one.form === 'pad' && one.holds > 0 && `${slot}.${one.id}` !== ref)
      .map((one): Mutant => ({ what: `${id}.${end} to ${slot}.${one.id}`, build: withEnd(target, id, end, `${slot}.${one.id}`), cells }));
  });
  const swapped = ends.flatMap((a, index) =>
    ends.slice(index + 1).filter((b) => b.ref !== a.ref && b.id !== a.id).map((b): Mutant => ({
      what: `swap ${a.id}.${a.end} with ${b.id}.${b.end}`, build: withEnd(withEnd(target, a.id, a.end, b.ref), b.id, b.end, a.ref), cells,
    })),
  );
  const dropped = Object.keys(target.wires).map((id): Mutant => {
    const { [id]: _gone, ...wires } = target.wires;
    return { what: `without ${id}`, build: { ...target, wires }, cells };
  });
  return [...moved, ...swapped, ...dropped, { what: 'one cell more', build: target, cells: [7, 7] }];
}

/** Conductors by flooding; a point is a part's node or a housing's cavity. */
function flood(build: Build): (ref: TerminalRef) => ReadonlySet<string> {
  const edges = new Map<string, string[]>();
  const join = (a: string, b: string) => {
    edges.set(a, [...(edges.get(a) ?? []), b]);
    edges.set(b, [...(edges.get(b) ?? []), a]);
  };
  const node = (ref: TerminalRef) => `${ref.split('.')[0]}:${findTerminal(build, ref, catalogue)!.node}`;
  for (const wire of Object.values(build.wires)) {
    for (const { at } of wire.ends) {
      if (at.on === 'terminal') join(`wire ${wire.id}`, node(at.ref));
      if (at.on === 'cavity') join(`wire ${wire.id}`, `${at.housing}#${at.position}`);
    }
  }
  for (const mate of Object.values(build.mates)) {
    if (!('slot' in mate.a) || !('housing' in mate.b)) continue;
    const { slot, connector } = mate.a;
    const { housing } = mate.b;
    const pins = modelIn(build, slot, catalogue)!.connectors.find(({ id }) => id === connector)!.pins;
    pins.forEach((pin, index) => join(node(`${slot}.${pin}`), `${housing}#${index + 1}`));
  }
  return (ref) => {
    const seen = new Set([node(ref)]);
    for (const point of seen) for (const next of edges.get(point) ?? []) seen.add(next);
    return seen;
  };
}

/** What really happens when the pack is plugged in. */
export function truth({ build, cells }: Mutant): 'kill' | 'stop' | 'fine' {
  const reached = flood(build);
  const on = (points: ReadonlySet<string>) =>
    Object.keys(build.slots).flatMap((slot) => modelIn(build, slot, catalogue)!.terminals.filter((one) => points.has(`${slot}:${one.node}`)).map((one) => ({ slot, one })));
  const volts = (cells[1] * full) / 6;
  const plus = reached('BAT.PLUS');
  const minus = reached('BAT.MINUS');
  const supplies: { points: ReadonlySet<string>; volts: number }[] = [{ points: plus, volts }];
  const fed = plus.has('FC:VB');
  if (fed) for (const [ref, out] of [['FC.5V1', 5.25], ['FC.10V1', 10.5], ['FC.3V3A', 3.465]] as const) supplies.push({ points: reached(ref), volts: out });
  for (const supply of supplies) {
    if (supply.points.has('BAT:MINUS')) return 'kill';
    if (on(supply.points).some(({ one }) => one.withstandV[1] < supply.volts)) return 'kill';
    const tooMuch = on(supply.points).some(({ one }) => one.roles.some((role) => role.is === 'supply' && role.dir === 'takes' && role.volts[1] < supply.volts));
    if (tooMuch) return 'kill';
  }
  // Battery volts on a phase meet the transistors that tie it to the other rail.
  if ([plus, minus].some((rail) => on(rail).some(({ one }) => /^[ABC][1-4]?$/.test(one.id)))) return 'kill';
  const works = reached('RX.TX').has('FC:RX2') && reached('RX.RX').has('FC:TX2') && reached('RX.5V').has('FC:V5') && minus.has('RX:GND') && minus.has('FC:GND') && fed
    && plus.has('ESC:VB') && minus.has('ESC:GND') && plus.has('CAP:PLUS') && minus.has('CAP:MINUS');
  const turns = [1, 2, 3, 4].every((motor) => {
    const phases = ['A', 'B', 'C'].flatMap((lead) => ['A', 'B', 'C'].filter((phase) => reached(`M${motor}.${lead}`).has(`ESC:P${phase}${motor}`)));
    return phases.length === 3 && new Set(phases).size === 3;
  });
  const signals = ['S1', 'S2', 'S3', 'S4'].every((name) => [...reached(`ESC.J1.${4 + Number(name[1])}`)].includes(`FC:${name}`));
  return works && turns && signals ? 'fine' : 'stop';
}
