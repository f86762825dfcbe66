/**
 * A powered DC solve of a build, written for judging the rules by: conductors by flooding, then nodal analysis with
 * regulators as sources whose state is found by iteration. It knows nothing of rules, links or the core's circuits.
 * Units: V, A, ohm.
 */
import type { Build, Catalogue, PartModel, TerminalRef } from '@junctor/core';
import { Matrix, solve } from 'ml-matrix';

export interface Powered {
  /** Volts of a conductor inside a part against battery minus. */
  volts(slot: string, node: string): number;
  batteryA: number;
  /** The largest current into or out of a motor phase's transistors. */
  phaseA: number;
  joined(a: string, b: string): boolean;
  /** True when a conductor of a part is battery minus itself. */
  grounded(slot: string, node: string): boolean;
}

interface Branch {
  a: string;
  b: string;
  siemens: number;
  /** Volts of a behind the conductance, over b. */
  push?: number;
}

const batteryOhms = 0.001;
const regulatorOhms = 0.05;
const transistorOhms = 0.005;
const pinOhms = 100;
const leakSiemens = 1e-9;

/** Which point of copper everything is on. */
export function conductors(
  build: Build,
  catalogue: Catalogue,
  touching: Build['contacts'] = [],
): (slot: string, node: string) => string {
  const edges = new Map<string, string[]>();
  const join = (a: string | null, b: string | null) => {
    if (!a || !b) return;
    edges.set(a, [...(edges.get(a) ?? []), b]);
    edges.set(b, [...(edges.get(b) ?? []), a]);
  };
  const node = (ref: TerminalRef): string | null => {
    const slot = ref.split('.')[0]!;
    const fitted = build.slots[slot];
    const terminal = fitted && catalogue.model(fitted).terminals.find(({ id }) => `${slot}.${id}` === ref);
    return terminal ? `${slot}:${terminal.node}` : null;
  };
  for (const wire of Object.values(build.wires)) {
    for (const { at } of wire.ends) {
      if (at.on === 'terminal') join(`wire ${wire.id}`, node(at.ref));
      if (at.on === 'cavity') join(`wire ${wire.id}`, `${at.housing}#${at.position}`);
    }
  }
  for (const { a, b, shift, mirrored } of Object.values(build.mates)) {
    const points = (side: typeof a): (string | null)[] => {
      if ('housing' in side)
        return Array.from(
          { length: build.housings[side.housing]?.ways ?? 0 },
          (_, index) => `${side.housing}#${index + 1}`,
        );
      const fitted = build.slots[side.slot];
      const pins = fitted
        ? (catalogue.model(fitted).connectors.find(({ id }) => id === side.connector)?.pins ?? [])
        : [];
      return pins.map((pin) => node(`${side.slot}.${pin}`));
    };
    const [left, right] = [points(a), points(b)];
    left.forEach((point, index) => join(point, right[(mirrored ? right.length - 1 - index : index) + shift] ?? null));
  }
  for (const { a, b, ohms } of touching) if (ohms < 20) join(node(a), node(b));
  const found = new Map<string, string>();
  return (slot, inner) => {
    const start = `${slot}:${inner}`;
    const known = found.get(start);
    if (known) return known;
    const seen = new Set([start]);
    for (const point of seen) for (const next of edges.get(point) ?? []) seen.add(next);
    for (const point of seen) found.set(point, start);
    return start;
  };
}

/** The build with a pack of so many volts plugged in and all motor phases driven high or low. */
export function powerUp(build: Build, catalogue: Catalogue, packV: number, phases: 'high' | 'low'): Powered {
  const point = conductors(build, catalogue, build.contacts);
  const parts = Object.entries(build.slots).map(([slot, fitted]) => ({ slot, model: catalogue.model(fitted) }));
  const lead = parts.find(({ model }) => model.kind === 'battery lead');
  const reference = lead ? point(lead.slot, lead.model.terminals.find(isGround)!.node) : '';
  const plus = lead ? point(lead.slot, lead.model.terminals.find((terminal) => !isGround(terminal))!.node) : '';
  const fixed: Branch[] = [];
  for (const { slot, model } of parts) {
    for (const element of model.elements) {
      if (element.is === 'resistor' || element.is === 'winding')
        fixed.push({ a: point(slot, element.a), b: point(slot, element.b), siemens: 1 / element.ohms });
      if (element.is === 'load')
        fixed.push({
          a: point(slot, element.plus),
          b: point(slot, element.minus),
          siemens: element.typicalA / Math.max(1, element.wakesAtV * 1.3),
        });
    }
  }
  if (lead && plus !== reference) fixed.push({ a: plus, b: reference, siemens: 1 / batteryOhms, push: packV });
  const shared = sharedPoints(parts, point);
  let volts = new Map<string, number>();
  let dynamic: Branch[] = [];
  for (let turn = 0; turn < 8; turn++) {
    const next = active({ parts, point, reference, shared, phases }, volts);
    if (turn > 0 && JSON.stringify(next) === JSON.stringify(dynamic)) break;
    dynamic = next;
    volts = nodal([...fixed, ...dynamic], reference);
  }
  const at = (slot: string, node: string) => volts.get(point(slot, node)) ?? 0;
  const current = ({ a, b, siemens, push }: Branch) =>
    Math.abs(((volts.get(a) ?? 0) - (volts.get(b) ?? 0) - (push ?? 0)) * siemens);
  return {
    volts: at,
    batteryA:
      plus === reference && lead
        ? Infinity
        : Math.max(0, ...fixed.filter(({ push }) => push !== undefined).map(current)),
    phaseA: Math.max(0, ...dynamic.filter(({ siemens }) => siemens === 1 / transistorOhms).map(current)),
    grounded: (slot, node) => point(slot, node) === reference,
    joined: (a, b) => point(...split(a)) === point(...split(b)),
  };
}

function split(name: string): [string, string] {
  return [name.slice(0, name.indexOf(':')), name.slice(name.indexOf(':') + 1)];
}

type Part = { slot: string; model: PartModel };
const isGround = ({ roles }: { roles: PartModel['terminals'][number]['roles'] }) =>
  roles.some(({ is }) => is === 'ground');

/** The conductor of a part that its volts are counted from, or null. */
export function groundNode(model: PartModel): string | null {
  return model.terminals.find(isGround)?.node ?? null;
}

function sharedPoints(parts: readonly Part[], point: (slot: string, node: string) => string): ReadonlySet<string> {
  const users = new Map<string, Set<string>>();
  for (const { slot, model } of parts) {
    for (const { node } of model.terminals)
      users.set(point(slot, node), (users.get(point(slot, node)) ?? new Set()).add(slot));
  }
  return new Set([...users].filter(([, slots]) => slots.size > 1).map(([name]) => name));
}

/** Regulators, signal pins and motor transistors, as the volts of the last turn switch them. */
interface Stage {
  parts: readonly Part[];
  point: (slot: string, node: string) => string;
  reference: string;
  shared: ReadonlySet<string>;
  phases: 'high' | 'low';
}

function active({ parts, point, reference, shared, phases }: Stage, volts: ReadonlyMap<string, number>): Branch[] {
  const branches: Branch[] = [];
  for (const { slot, model } of parts) {
    const v = (node: string) => volts.get(point(slot, node)) ?? 0;
    const ground = groundNode(model);
    for (const element of model.elements) {
      if (element.is !== 'regulator') continue;
      const inV = v(element.input) - v(element.ground);
      const outVOf = () => {
        if (inV >= element.minInV) return element.outV;
        if (element.kindOf === 'step-up') return 0;
        return Math.min(
          element.outV,
          inV - (element.kindOf === 'linear' ? Math.max(0.1, element.minInV - element.outV) : 0.5),
        );
      };
      const outV = outVOf();
      if (outV > 0.5)
        branches.push({
          a: point(slot, element.output),
          b: point(slot, element.ground),
          siemens: 1 / regulatorOhms,
          push: outV,
        });
    }
    const feed = model.terminals.find(({ roles }) =>
      roles.some((role) => role.is === 'supply' && role.dir === 'takes'),
    );
    // Without a return of its own a part is dead, whatever hangs on its plus.
    if (!ground || !feed || point(slot, ground) !== reference || v(feed.node) < 2.5) continue;
    const done = new Set<string>();
    for (const terminal of model.terminals) {
      const own = point(slot, terminal.node);
      if (done.has(own) || !shared.has(own)) continue;
      const phase = terminal.roles.some(
        (role) => role.is === 'port' && model.ports.find(({ id }) => id === role.port)?.kind === 'motorPhase',
      );
      // Plus of a brushed motor is the supply itself.
      if (phase && [feed.node, ground].some((rail) => point(slot, rail) === own)) continue;
      if (phase)
        branches.push({ a: own, b: point(slot, phases === 'high' ? feed.node : ground), siemens: 1 / transistorOhms });
      else if (terminal.drivesV !== undefined)
        branches.push({ a: own, b: point(slot, ground), siemens: 1 / pinOhms, push: terminal.drivesV });
      else continue;
      done.add(own);
    }
  }
  return branches;
}

/** Volts at every point against one of them. @param drawnA What is taken out at a point. */
export function nodal(
  branches: readonly Branch[],
  reference: string,
  drawnA: ReadonlyMap<string, number> = new Map(),
): Map<string, number> {
  const names = [...new Set(branches.flatMap(({ a, b }) => [a, b]))].filter((name) => name !== reference);
  const index = new Map(names.map((name, place) => [name, place]));
  const left = Matrix.zeros(names.length, names.length);
  const right = Matrix.zeros(names.length, 1);
  names.forEach((_, place) => left.set(place, place, leakSiemens));
  for (const { a, b, siemens, push = 0 } of branches) {
    if (a === b) continue;
    const [i, j] = [index.get(a), index.get(b)];
    if (i !== undefined) {
      left.set(i, i, left.get(i, i) + siemens);
      right.set(i, 0, right.get(i, 0) + siemens * push);
    }
    if (j !== undefined) {
      left.set(j, j, left.get(j, j) + siemens);
      right.set(j, 0, right.get(j, 0) - siemens * push);
    }
    if (i === undefined || j === undefined) continue;
    left.set(i, j, left.get(i, j) - siemens);
    left.set(j, i, left.get(j, i) - siemens);
  }
  for (const [name, amps] of drawnA) {
    const place = index.get(name);
    if (place !== undefined) right.set(place, 0, right.get(place, 0) - amps);
  }
  const volts = names.length > 0 ? solve(left, right) : null;
  return new Map([[reference, 0], ...names.map((name, place): [string, number] => [name, volts!.get(place, 0)])]);
}
