/**
 * Nodal analysis of what lies between two probes on an aircraft that is switched off: resistors, capacitors that hold a
 * charge, diodes by Newton's way. Units: V, A, ohm, F, s.
 */
import type { MeterSource } from '@junctor/core';
import { Matrix, solve } from 'ml-matrix';
import type { Branch } from './insides';

type Diode = Extract<Branch, { is: 'diode' }>;
/** A branch between two places in the list of unknown volts; -1: the black probe. */
type Placed = Branch & { i: number; j: number };

/** No step of Newton's goes further: an exponential that is overshot comes back in small steps. */
const mostStepV = 0.3;
const closeV = 1e-5;
const leakSiemens = 1e-9;

export class Network {
  readonly branches: readonly Placed[];
  private readonly red: number;
  private readonly size: number;

  /** @param all Branches of the whole aircraft, between pieces of copper. */
  constructor(all: readonly Branch[], black: string, red: string) {
    const own = withoutDeadEnds(hangsTogether(all, [black, red]), [black, red]);
    const names = [...new Set([red, ...own.flatMap(({ a, b }) => [a, b])])].filter((name) => name !== black);
    const places = new Map(names.map((name, place) => [name, place]));
    const placeOf = (name: string) => places.get(name) ?? -1;
    this.branches = own.map((branch) => ({ ...branch, i: placeOf(branch.a), j: placeOf(branch.b) }));
    this.red = placeOf(red);
    this.size = names.length;
  }

  /**
   * Volts against black after one implicit step; stepS Infinity: once everything has settled. A constant current that
   * would drive them over the meter's limit is the limit behind next to nothing.
   * @param charge Volts on the capacitors, by branch.
   */
  volts(source: MeterSource, stepS: number, charge: ReadonlyMap<string, number>): Float64Array {
    const { limitV, limitA, seriesOhms } = source;
    if (seriesOhms !== null)
      return this.driven({ siemens: 1 / seriesOhms, amperes: limitV / seriesOhms }, stepS, charge);
    const free = this.driven({ siemens: 0, amperes: limitA }, stepS, charge);
    return free[this.red]! <= limitV ? free : this.driven({ siemens: 10, amperes: 10 * limitV }, stepS, charge);
  }

  redV(volts: Float64Array): number {
    return volts[this.red]!;
  }

  /** Charge after a step that ended in these volts. */
  charged(volts: Float64Array, stepS: number, charge: ReadonlyMap<string, number>): Map<string, number> {
    const next = new Map(charge);
    for (const branch of this.branches) {
      if (branch.is !== 'capacitor') continue;
      const before = charge.get(branch.id) ?? 0;
      const amperes = (across(branch, volts) - before) / (branch.esrOhms + stepS / branch.farads);
      next.set(branch.id, before + (amperes * stepS) / branch.farads);
    }
    return next;
  }

  private driven(
    source: { siemens: number; amperes: number },
    stepS: number,
    charge: ReadonlyMap<string, number>,
  ): Float64Array {
    const { size, branches } = this;
    let volts = new Float64Array(size);
    for (let turn = 0; turn < 60; turn++) {
      const left = Matrix.zeros(size, size);
      const right = new Float64Array(size);
      const stamp = (i: number, j: number, siemens: number, pushA: number) => {
        if (i >= 0) {
          left.set(i, i, left.get(i, i) + siemens);
          right[i]! += pushA;
        }
        if (j >= 0) {
          left.set(j, j, left.get(j, j) + siemens);
          right[j]! -= pushA;
        }
        if (i < 0 || j < 0) return;
        left.set(i, j, left.get(i, j) - siemens);
        left.set(j, i, left.get(j, i) - siemens);
      };
      for (let place = 0; place < size; place++) left.set(place, place, leakSiemens);
      stamp(this.red, -1, source.siemens, source.amperes);
      for (const branch of branches) {
        const { i, j } = branch;
        if (branch.is === 'resistor') stamp(i, j, 1 / branch.ohms, 0);
        else if (branch.is === 'capacitor') {
          if (stepS === Infinity) continue;
          const siemens = 1 / (branch.esrOhms + stepS / branch.farads);
          stamp(i, j, siemens, siemens * (charge.get(branch.id) ?? 0));
        } else {
          const acrossV = across(branch, volts);
          const { amperes, siemens } = through(branch, acrossV);
          stamp(i, j, siemens, siemens * acrossV - amperes);
        }
      }
      const next = Float64Array.from(solve(left, Matrix.columnVector(right)).to1DArray());
      let most = 0;
      for (let place = 0; place < size; place++) {
        const change = next[place]! - volts[place]!;
        most = Math.max(most, Math.abs(change));
        next[place] = volts[place]! + Math.max(-mostStepV, Math.min(mostStepV, change));
      }
      volts = next;
      if (most < closeV) break;
    }
    return volts;
  }
}

function across({ i, j }: Placed, volts: Float64Array): number {
  return (i < 0 ? 0 : volts[i]!) - (j < 0 ? 0 : volts[j]!);
}

function hangsTogether(all: readonly Branch[], probes: readonly string[]): readonly Branch[] {
  const at = new Map<string, Branch[]>();
  for (const branch of all)
    for (const end of [branch.a, branch.b]) {
      const list = at.get(end);
      if (list) list.push(branch);
      else at.set(end, [branch]);
    }
  const reached = new Set(probes);
  for (const name of reached) for (const { a, b } of at.get(name) ?? []) reached.add(a).add(b);
  return all.filter(({ a, b }) => a !== b && reached.has(a));
}

/** Nothing flows into what hangs on one piece of copper alone. */
function withoutDeadEnds(branches: readonly Branch[], probes: readonly string[]): readonly Branch[] {
  let left = branches;
  for (;;) {
    const uses = new Map<string, number>();
    for (const { a, b } of left) for (const end of [a, b]) uses.set(end, (uses.get(end) ?? 0) + 1);
    const isDead = (end: string) => uses.get(end) === 1 && !probes.includes(end);
    const next = left.filter(({ a, b }) => !isDead(a) && !isDead(b));
    if (next.length === left.length) return next;
    left = next;
  }
}

/** Current of a diode with its series resistance, and how it changes with the volts across both. */
function through({ saturationA, slopeV, seriesOhms }: Diode, acrossV: number): { amperes: number; siemens: number } {
  let amperes = acrossV > 0.2 ? (acrossV - 0.2) / (seriesOhms + 50) : 0;
  for (let turn = 0; turn < 30; turn++) {
    const inside = Math.max(amperes, -saturationA * 0.999);
    const wrongV = slopeV * Math.log1p(inside / saturationA) + inside * seriesOhms - acrossV;
    const next = inside - wrongV / (slopeV / (inside + saturationA) + seriesOhms);
    amperes = Math.max(next, -saturationA * 0.999);
    if (Math.abs(wrongV) < 1e-9) break;
  }
  return { amperes, siemens: 1 / (slopeV / (amperes + saturationA) + seriesOhms) };
}
