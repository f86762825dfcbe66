/**
 * Nodal analysis of what lies between two probes on an aircraft that is switched off: resistors, capacitors that hold a
 * charge, diodes by Newton's way. Units: V, A, ohm, F, s.
 */
import type { MeterSource } from '@junctor/core';
import { Elimination } from './elimination';
import type { Branch } from './insides';

type Diode = Extract<Branch, { is: 'diode' }>;
/**
 * A branch between two numbers: of pieces of copper, or of unknown volts, where -1 is the black probe; `beside` is
 * where those two meet in the equations.
 */
type Placed = Branch & { i: number; j: number; beside: number };

/** No step of Newton's goes further: an exponential that is overshot comes back in small steps. */
const mostStepV = 0.3;
const closeV = 1e-5;
const leakSiemens = 1e-9;

/** One implicit step. */
interface Moment {
  /** Infinity: once everything has settled. */
  stepS: number;
  /** Volts on the capacitors before it, by branch. */
  charge: ReadonlyMap<string, number>;
  /** Volts that the answer will be near. */
  from?: Float64Array;
}

/** All branches of an aircraft with its pieces of copper as numbers, from which what lies between probes is cut out. */
export class Copper {
  private readonly numbers = new Map<string, number>();
  private readonly all: readonly Placed[];
  private readonly at: readonly (readonly number[])[];

  constructor(branches: readonly Branch[]) {
    this.all = branches
      .filter(({ a, b }) => a !== b)
      .map((branch) => ({ ...branch, i: this.numberOf(branch.a), j: this.numberOf(branch.b), beside: -1 }));
    const at: number[][] = Array.from({ length: this.numbers.size }, () => []);
    this.all.forEach(({ i, j }, index) => {
      at[i]!.push(index);
      at[j]!.push(index);
    });
    this.at = at;
  }

  /** Null where both probes are on one piece of copper. */
  between(from: string, to: string): Network | null {
    if (from === to) return null;
    const [black, red] = [this.numberOf(from), this.numberOf(to)];
    return new Network(this.hangingOn(black, red), black, red);
  }

  private numberOf(name: string): number {
    const known = this.numbers.get(name);
    if (known !== undefined) return known;
    this.numbers.set(name, this.numbers.size);
    return this.numbers.size - 1;
  }

  /** Without what hangs on one piece of copper alone, into which nothing flows. */
  private hangingOn(black: number, red: number): Placed[] {
    const uses = new Map<number, number>([
      [black, 0],
      [red, 0],
    ]);
    for (const [piece] of uses)
      for (const index of this.at[piece] ?? []) {
        const { i, j } = this.all[index]!;
        for (const end of [i, j]) if (!uses.has(end)) uses.set(end, 0);
        uses.set(piece, uses.get(piece)! + 1);
      }
    const gone = new Set<number>();
    const dead = [...uses].flatMap(([piece, count]) =>
      count === 1 && piece !== black && piece !== red ? [piece] : [],
    );
    for (let piece = dead.pop(); piece !== undefined; piece = dead.pop()) {
      const last = this.at[piece]!.find((index) => !gone.has(index));
      if (last === undefined) continue;
      gone.add(last);
      const { i, j } = this.all[last]!;
      const other = i === piece ? j : i;
      uses.set(other, uses.get(other)! - 1);
      if (uses.get(other) === 1 && other !== black && other !== red) dead.push(other);
    }
    const left = new Set(
      [...uses.keys()].flatMap((piece) => (this.at[piece] ?? []).filter((index) => !gone.has(index))),
    );
    return [...left].map((index) => this.all[index]!);
  }
}

export class Network {
  readonly branches: readonly Placed[];
  private readonly red: number;
  private readonly size: number;
  private readonly equations: Elimination;

  /** @param own Branches between pieces of copper by their numbers. */
  constructor(own: readonly Placed[], black: number, red: number) {
    const names = [...new Set([red, ...own.flatMap(({ i, j }) => [i, j])])].filter((name) => name !== black);
    const places = new Map(names.map((name, place) => [name, place]));
    const placeOf = (name: number) => places.get(name) ?? -1;
    const placed = own.map((branch) => ({ ...branch, i: placeOf(branch.i), j: placeOf(branch.j) }));
    this.red = placeOf(red);
    this.size = names.length;
    this.equations = new Elimination(
      this.size,
      placed.flatMap(({ i, j }) => (i < 0 || j < 0 ? [] : [[i, j] as const])),
    );
    this.branches = placed.map((branch) => {
      const { i, j } = branch;
      return { ...branch, beside: i < 0 || j < 0 ? -1 : this.equations.placeOf(i, j) };
    });
  }

  /**
   * Volts against black. A constant current that would drive them over the meter's limit is the limit behind next to
   * nothing.
   */
  volts(source: MeterSource, moment: Moment): Float64Array {
    const { limitV, limitA, seriesOhms } = source;
    if (seriesOhms !== null) return this.driven({ siemens: 1 / seriesOhms, amperes: limitV / seriesOhms }, moment);
    const free = this.driven({ siemens: 0, amperes: limitA }, moment);
    return free[this.red]! <= limitV ? free : this.driven({ siemens: 10, amperes: 10 * limitV }, moment);
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

  private driven(source: { siemens: number; amperes: number }, { stepS, charge, from }: Moment): Float64Array {
    const { size, branches, equations } = this;
    const { diagonal, beside, right } = equations;
    let volts: Float64Array = from?.slice() ?? new Float64Array(size);
    for (let turn = 0; turn < 60; turn++) {
      diagonal.fill(leakSiemens);
      beside.fill(0);
      right.fill(0);
      const stamp = (branch: Pick<Placed, 'i' | 'j' | 'beside'>, siemens: number, pushA: number) => {
        const { i, j } = branch;
        if (i >= 0) {
          diagonal[i]! += siemens;
          right[i]! += pushA;
        }
        if (j >= 0) {
          diagonal[j]! += siemens;
          right[j]! -= pushA;
        }
        if (branch.beside >= 0) beside[branch.beside]! -= siemens;
      };
      stamp({ i: this.red, j: -1, beside: -1 }, source.siemens, source.amperes);
      for (const branch of branches) {
        if (branch.is === 'resistor') stamp(branch, 1 / branch.ohms, 0);
        else if (branch.is === 'capacitor') {
          if (stepS === Infinity) continue;
          const siemens = 1 / (branch.esrOhms + stepS / branch.farads);
          stamp(branch, siemens, siemens * (charge.get(branch.id) ?? 0));
        } else {
          const acrossV = across(branch, volts);
          const { amperes, siemens } = through(branch, acrossV);
          stamp(branch, siemens, siemens * acrossV - amperes);
        }
      }
      const next = equations.solved();
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
