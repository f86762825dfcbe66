/**
 * Ways out of a finding: changes of the plan after which it is gone and nothing graver has come. Every candidate is
 * judged by all rules before it is offered, so a remedy is never a guess. The smallest change comes first.
 */
import type { Build, Wire, WireEnd } from '../build/build';
import { landedOn } from '../build/build';
import type { Catalogue } from '../catalogue/catalogue';
import { findTerminal, modelIn } from '../catalogue/catalogue';
import { hasRole } from '../checks/reach';
import type { Slot, TerminalRef, WireId } from '../names';
import { splitRef, terminalRef } from '../names';
import type { Plan } from '../plan/plan';
import type { PlanChange } from '../plan/planChange';
import { applyPlanChanges } from '../plan/planChange';
import { netlist } from '../wiring/netlist';
import type { Finding } from './finding';
import { judge } from './judge';
import { portAsWired } from './portAsWired';

export interface Remedy {
  /** What it does, for the key that does it. */
  says: string;
  changes: readonly PlanChange[];
}

const mostOffered = 4;
const mostTried = 240;
const gauges = [10, 12, 14, 16, 18, 20, 22, 24, 26, 28, 30];

/** Remedies of a finding of a plan, best first; empty when the program knows none. */
export function remediesFor(plan: Plan, catalogue: Catalogue, found: Finding): Remedy[] {
  const before = new Set(judge(plan.target, catalogue, plan.links, plan.cells).filter(({ severity }) => severity !== 'warn').map(({ key }) => key));
  const good: { remedy: Remedy; left: number }[] = [];
  for (const remedy of candidates(plan, catalogue, found).slice(0, mostTried)) {
    const made = applyPlanChanges(plan, remedy.changes);
    if (!made.ok) continue;
    const after = judge(made.plan.target, catalogue, made.plan.links, made.plan.cells);
    const worse = after.some(({ key, severity }) => severity !== 'warn' && !before.has(key));
    if (worse || after.some(({ key }) => key === found.key)) continue;
    good.push({ remedy, left: after.length });
  }
  const least = Math.min(...good.map(({ left }) => left));
  return good.filter(({ left }) => left === least).map(({ remedy }) => remedy).sort((a, b) => a.changes.length - b.changes.length).slice(0, mostOffered);
}

function candidates(plan: Plan, catalogue: Catalogue, found: Finding): Remedy[] {
  const wires = nearby(plan, catalogue, found);
  return [
    ...portAsWired(plan, catalogue, found),
    ...wires.flatMap((wire) => otherGauges(wire)),
    ...wires.flatMap((wire) => insulated(wire)),
    ...exchanges(plan, catalogue, wires),
    ...wires.flatMap((wire) => moves(plan, catalogue, wire)),
    ...added(plan, catalogue, found),
    ...wires.filter(({ from }) => from !== 'tail').map((wire) => ({ says: `Take ${wire.id} out`, changes: [change(wire, null)] })),
  ];
}

function change(before: Wire, after: Wire | null): PlanChange {
  return { path: `wires/${before.id}`, before, after };
}

/** The wires that the finding names, then those that join the same parts. */
function nearby({ target }: Plan, catalogue: Catalogue, { wires, at }: Finding): Wire[] {
  const named = wires.flatMap((id) => target.wires[id] ?? []);
  const slots = new Set([...named.flatMap(slotsOf), ...at.map((ref) => splitRef(ref).slot)]);
  const others = Object.values(target.wires).filter((wire) => !named.includes(wire) && slotsOf(wire).every((slot) => slots.has(slot)) && slotsOf(wire).length > 0);
  const nets = netlist(target, catalogue);
  const touching = others.filter(({ id }) => at.some((ref) => nets.netOf(ref)?.wires.includes(id)));
  return [...new Set([...named, ...touching, ...others])].slice(0, 12);
}

function slotsOf(wire: Wire): Slot[] {
  return wire.ends.flatMap((end) => (landedOn(end) ? [splitRef(landedOn(end)!).slot] : []));
}

function moved(wire: Wire, end: 0 | 1, at: WireEnd['at']): Wire {
  const next = { ...wire.ends[end], at };
  return { ...wire, ends: end === 0 ? [next, wire.ends[1]] : [wire.ends[0], next] };
}

/** Two wires change places on one board or in one housing. */
function exchanges({ target }: Plan, catalogue: Catalogue, wires: readonly Wire[]): Remedy[] {
  const place = ({ at }: WireEnd) => (at.on === 'terminal' ? splitRef(at.ref).slot : at.on === 'cavity' ? at.housing : null);
  return wires.flatMap((a, index) => wires.slice(index + 1).flatMap((b) => ([0, 1] as const).flatMap((i) => ([0, 1] as const).flatMap((j): Remedy[] => {
    const [one, other] = [a.ends[i], b.ends[j]];
    if (!place(one) || place(one) !== place(other) || one.by === 'factory' || other.by === 'factory') return [];
    return [{ says: `Exchange ${a.id} and ${b.id} at ${placeWords(target, catalogue, one)}`, changes: [change(a, moved(a, i, other.at)), change(b, moved(b, j, one.at))] }];
  }))));
}

/** One end to another free pad of the same board. */
function moves({ target }: Plan, catalogue: Catalogue, wire: Wire): Remedy[] {
  return ([0, 1] as const).flatMap((end): Remedy[] => {
    const ref = landedOn(wire.ends[end]);
    if (!ref || wire.ends[end].by === 'factory') return [];
    const { slot } = splitRef(ref);
    const taken = new Map<TerminalRef, number>();
    for (const other of Object.values(target.wires)) for (const one of other.ends) if (landedOn(one)) taken.set(landedOn(one)!, (taken.get(landedOn(one)!) ?? 0) + 1);
    const free = modelIn(target, slot, catalogue)!.terminals.filter(({ id, holds, form }) => form !== 'pin' && form !== 'tail' && terminalRef(slot, id) !== ref && (taken.get(terminalRef(slot, id)) ?? 0) < holds);
    return free.map(({ id, printed }) => ({ says: `Move ${wire.id} to ${slot} ${printed}`, changes: [change(wire, moved(wire, end, { on: 'terminal', ref: terminalRef(slot, id) }))] }));
  });
}

function otherGauges(wire: Wire): Remedy[] {
  return wire.from === 'tail' ? [] : gauges.filter((awg) => awg !== wire.awg).sort((a, b) => Math.abs(a - wire.awg) - Math.abs(b - wire.awg)).slice(0, 5)
    .map((awg) => ({ says: `Make ${wire.id} ${awg} AWG`, changes: [change(wire, { ...wire, awg })] }));
}

function insulated(wire: Wire): Remedy[] {
  const end = wire.ends.findIndex(({ at }) => at.on === 'air' && at.end === 'bare');
  return end < 0 ? [] : [{ says: `Insulate the free end of ${wire.id}`, changes: [change(wire, moved(wire, end as 0 | 1, { on: 'air', end: 'insulated' }))] }];
}

/** A new wire from the terminal that lacks something to a free pad of a part that has it. */
function added(plan: Plan, catalogue: Catalogue, { at }: Finding): Remedy[] {
  const { target } = plan;
  return at.flatMap((ref) => {
    const terminal = findTerminal(target, ref, catalogue);
    if (!terminal || terminal.form === 'pin') return [];
    const wants = terminal.roles.find(({ is }) => is === 'ground' || is === 'supply');
    if (!wants) return [];
    const fits = (id: string, slot: Slot) => {
      const other = findTerminal(target, terminalRef(slot, id), catalogue)!;
      return other.form !== 'pin' && (wants.is === 'ground' ? hasRole(other, 'ground') : other.roles.some((role) => role.is === 'supply' && role.dir === 'gives'));
    };
    const hosts = Object.keys(target.slots).filter((slot) => slot !== splitRef(ref).slot && ['controller', 'single board', 'distribution', 'esc'].includes(modelIn(target, slot, catalogue)!.kind));
    const id = freeWireId(target);
    return hosts.flatMap((slot) => modelIn(target, slot, catalogue)!.terminals.filter((one) => fits(one.id, slot)).map((one): Remedy => ({
      says: `Add a ${wants.is} wire from ${splitRef(ref).slot} ${terminal.printed} to ${slot} ${one.printed}`,
      changes: [{ path: `wires/${id}`, before: null, after: newWire(id, wants.is === 'ground' ? 'black' : 'red', ref, terminalRef(slot, one.id)) }],
    })));
  });
}

function freeWireId({ wires }: Build): WireId {
  let number = Object.keys(wires).length + 1;
  while (`W${number}` in wires) number++;
  return `W${number}`;
}

function newWire(id: WireId, colour: string, a: TerminalRef, b: TerminalRef): Wire {
  const end = (ref: TerminalRef): WireEnd => ({ at: { on: 'terminal', ref }, by: 'solder', lay: 'flat' });
  return { id, awg: 26, colour, insulation: 'silicone', from: 'stock', lengthMm: null, via: [], ends: [end(a), end(b)] };
}

function placeWords(target: Build, catalogue: Catalogue, end: WireEnd): string {
  const ref = landedOn(end);
  return ref ? `${splitRef(ref).slot} (${findTerminal(target, ref, catalogue)!.printed})` : 'the plug';
}
