/**
 * The tree of supplies: the pack, the regulators that hang on it and on each other, and what each of them feeds.
 * Currents are given idle, typical and peak, at the empty and at the full pack. Units: V, A, W.
 * Source of the input current: power balance of a switching regulator, I_in = V_out * I_out / (efficiency * V_in);
 * a linear regulator passes its output current on.   Not here: findings (rules/), drawing (web).
 */
import type { Element, PartKind } from '../../facts/catalogue/partModel';
import type { Range, Slot } from '../../facts/terms/names';
import { packVolts } from '../../facts/terms/names';
import { netlist } from '../../facts/wiring/netlist';
import type { PowerStage } from '../../facts/terms/powerStage';
import { throughDiodes } from './throughDiodes';
import type { Assembly } from '../../facts/assembly/assembly';
import { remembered } from '../../facts/assembly/assembly';
import { isBatteryLead, isHighValue } from '../../facts/catalogue/kinds';

export interface Amps {
  idle: number;
  typical: number;
  peak: number;
}

/** One load inside a part, as the rail sees it. */
export interface Draw extends Amps {
  slot: Slot;
  load: string;
}

export interface Rail {
  /** `battery`, or slot and regulator: `FC/REG5`. */
  id: string;
  slot: Slot | null;
  /** The rail it is fed from; null for the battery and for a regulator that nothing feeds. */
  parent: string | null;
  kindOf: 'battery' | 'linear' | 'step-down' | 'step-up';
  /** What it is printed for; null for the battery. */
  outV: number | null;
  /** What it gives at the empty and at the full pack. */
  volts: Range;
  /** Lowest input for full output; 0 for the battery. */
  minInV: number;
  /** null: not limited by this program's knowledge. */
  limitA: number | null;
  stillAirA: number | null;
  draws: readonly Draw[];
  rails: readonly string[];
  out: { empty: Amps; full: Amps };
  /** What it takes from its parent, at the empty and the full pack. */
  in: { empty: Amps; full: Amps };
  /** Heat made in it at typical load, at the full pack. */
  heatW: number;
}

export interface SupplyTree {
  stage: PowerStage;
  packV: Range;
  /** Parents before children. */
  rails: readonly Rail[];
  /** At 5 V, for everything that lives on USB. */
  usb: Amps;
}

/** Plan to this share of the continuous limit. */
export const planShare = 0.75;
/** What a USB socket gives. */
export const usbLimitA = 0.5;

type Regulator = Extract<Element, { is: 'regulator' }>;
type Load = Extract<Element, { is: 'load' }>;
type Which = 'empty' | 'full';
const nothing: Amps = { idle: 0, typical: 0, peak: 0 };

/**
 * The tree of a build. A part that is not in it draws nothing; motors are not counted: their current is the pilot's.
 */
export function supplyTree(assembly: Assembly, cells: Range, stage: PowerStage = 'pack'): SupplyTree {
  const trees = treesOf(assembly);
  const of = `${cells.join(' to ')} cells, ${stage}`;
  let tree = trees.get(of);
  if (!tree) trees.set(of, (tree = treeAt(assembly, cells, stage)));
  return tree;
}

const treesOf = remembered(() => new Map<string, SupplyTree>());

function treeAt(assembly: Assembly, cells: Range, stage: PowerStage): SupplyTree {
  const nets = netlist(assembly);
  const packV = packVolts(cells);
  const regulators: { id: string; slot: Slot; element: Regulator; from: string; to: string }[] = [];
  const loads: { slot: Slot; element: Load; on: string }[] = [];
  let battery: string | null = null;
  for (const slot of Object.keys(assembly.build.slots)) {
    const model = assembly.model(slot)!;
    const net = (node: string) => nets.idOf(`${slot}:${node}`);
    const plus = isBatteryLead(model.kind)
      ? model.terminals.find(({ roles }) => roles.some(({ is }) => is === 'supply'))
      : undefined;
    if (plus) battery = net(plus.node);
    for (const element of model.elements) {
      if (element.is === 'regulator')
        regulators.push({
          id: `${slot}/${element.id}`,
          slot,
          element,
          from: net(element.input),
          to: net(element.output),
        });
      if (element.is === 'load' && isOn(stage, model.kind, element))
        loads.push({ slot, element, on: net(element.plus) });
    }
  }
  // Two regulators on one net: the first is taken to carry it; that they are joined is a finding of its own.
  const feeder = new Map<string, string>();
  if (battery) feeder.set(battery, 'battery');
  for (const { id, from, to } of regulators) if (from !== to && !feeder.has(to)) feeder.set(to, id);

  const behind = throughDiodes(assembly, nets, (net) => feeder.has(net));
  const fedFrom = (net: string) => behind.get(net)?.from ?? net;
  for (const one of regulators) one.from = fedFrom(one.from);
  for (const one of loads) one.on = fedFrom(one.on);
  const rails = new Map<string, Rail>();
  const make = (
    { id, net, regulator }: { id: string; net: string; regulator: (typeof regulators)[number] | null },
    inV: Range,
    seen: readonly string[],
  ): Rail => {
    const volts = regulator ? giving(regulator.element, inV) : packV;
    const children = regulators
      .filter(
        (regulator) =>
          regulator.from === net &&
          regulator.from !== regulator.to &&
          feeder.get(regulator.to) === regulator.id &&
          !seen.includes(regulator.to),
      )
      .map((below) => make({ id: below.id, net: below.to, regulator: below }, volts, [...seen, net]));
    const draws = loads
      .filter(({ on }) => on === net)
      .map(({ slot, element }): Draw => ({
        slot,
        load: element.id,
        idle: element.idleA,
        typical: element.typicalA,
        peak: element.peakA,
      }));
    const out = (which: Which) => {
      const atV = volts[which === 'empty' ? 0 : 1];
      const own = loads
        .filter(({ on }) => on === net)
        .map(({ element }) => drawn(element, atV, regulator ? regulator.element.outV : nominalOf(packV)));
      return sum([...own, ...children.map((child) => child.in[which])]);
    };
    const outs = { empty: out('empty'), full: out('full') };
    const rail: Rail = {
      id,
      slot: regulator?.slot ?? null,
      parent: regulator ? (feeder.get(regulator.from) ?? null) : null,
      kindOf: regulator?.element.kindOf ?? 'battery',
      outV: regulator?.element.outV ?? null,
      volts,
      minInV: regulator?.element.minInV ?? 0,
      limitA: regulator?.element.limitA ?? null,
      stillAirA: regulator?.element.stillAirA ?? null,
      draws,
      rails: children.map((child) => child.id),
      out: outs,
      in: regulator
        ? { empty: input(regulator.element, outs.empty, inV[0]), full: input(regulator.element, outs.full, inV[1]) }
        : outs,
      heatW: regulator ? heat(regulator.element, outs.full.typical, inV[1]) : 0,
    };
    rails.set(id, rail);
    return rail;
  };
  if (battery) make({ id: 'battery', net: battery, regulator: null }, packV, []);
  for (const one of regulators)
    if (!rails.has(one.id) && feeder.get(one.to) === one.id && !feeder.has(one.from))
      make({ id: one.id, net: one.to, regulator: one }, [0, 0], []);
  return {
    stage,
    packV,
    rails: inTreeOrder(rails),
    usb: sum(loads.filter(({ element }) => element.liveOnUsb).map(({ element }) => drawn(element, 5, 5))),
  };
}

/** "the battery", "FC 5 V"; two regulators of one part with the same volts keep their names. */
export function railWords({ id, slot, outV }: Pick<Rail, 'id' | 'slot' | 'outV'>, rails: readonly Rail[]): string {
  if (!slot) return 'the battery';
  const alike = rails.filter((rail) => rail.slot === slot && rail.outV === outV).length > 1;
  return `${alike ? id.replace('/', ' ') : slot} ${outV} V`;
}

function isOn(stage: PowerStage, kind: PartKind, load: Load): boolean {
  if (stage === 'off') return false;
  if (stage === 'usb') return load.liveOnUsb;
  return stage !== 'limited, dear units unplugged' || !isHighValue(kind);
}

/** What a step-down loses when it can only pass its input on. */
const passingDropV = 0.5;

/**
 * Output at the lowest and highest input. Below its lowest input a step-down passes on what it gets, less half a volt,
 * a
 * linear keeps its own drop, and a step-up gives nothing.
 */
export function giving(regulator: Regulator, inV: Range): Range {
  const at = (volts: number) => {
    if (volts >= regulator.minInV) return regulator.outV;
    if (regulator.kindOf === 'step-up') return 0;
    const dropV = regulator.kindOf === 'linear' ? Math.max(0.1, regulator.minInV - regulator.outV) : passingDropV;
    return Math.max(0, Math.min(regulator.outV, volts - dropV));
  };
  return [at(inV[0]), at(inV[1])];
}

function nominalOf(packV: Range): number {
  return (packV[0] + packV[1]) / 2;
}

/** A constant-power load is listed at the nominal volts of its rail and takes more when the rail sags. */
function drawn(load: Load, atV: number, nominalV: number): Amps {
  const factor = load.constant === 'power' && atV > 0 ? nominalV / atV : 1;
  return { idle: load.idleA * factor, typical: load.typicalA * factor, peak: load.peakA * factor };
}

function input(regulator: Regulator, out: Amps, inV: number): Amps {
  if (inV <= 0) return nothing;
  const factor = regulator.kindOf === 'linear' ? 1 : regulator.outV / (regulator.efficiency * inV);
  const at = (amps: number) => amps * factor + regulator.idleA;
  return { idle: at(out.idle), typical: at(out.typical), peak: at(out.peak) };
}

function heat(regulator: Regulator, outA: number, inV: number): number {
  if (inV <= 0) return 0;
  return regulator.kindOf === 'linear'
    ? Math.max(0, inV - regulator.outV) * outA
    : regulator.outV * outA * (1 / regulator.efficiency - 1);
}

function sum(list: readonly Amps[]): Amps {
  return list.reduce(
    (a, b) => ({ idle: a.idle + b.idle, typical: a.typical + b.typical, peak: a.peak + b.peak }),
    nothing,
  );
}

function inTreeOrder(rails: ReadonlyMap<string, Rail>): Rail[] {
  const order: Rail[] = [];
  const visit = (rail: Rail) => {
    if (order.includes(rail)) return;
    order.push(rail);
    rail.rails.forEach((id) => visit(rails.get(id)!));
  };
  for (const rail of rails.values()) if (rail.parent === null) visit(rail);
  for (const rail of rails.values()) visit(rail);
  return order;
}
