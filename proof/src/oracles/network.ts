/**
 * Nodal analysis of an aircraft that is switched off, between any two pieces of its copper: resistors, capacitors that
 * hold a charge, diodes by Newton's way. Units: V, A, ohm, F, s.
 */
import type { MeterSource } from '@junctor/core';
import { Elimination } from './elimination';
import type { Branch } from './insides';

type Diode = Extract<Branch, { is: 'diode' }>;
type Capacitor = Extract<Branch, { is: 'capacitor' }>;
/** A branch between two pieces of copper by their numbers; `beside` is where those two meet in the equations. */
type Placed<B extends Branch = Branch> = B & { i: number; j: number; beside: number };

/** No step of Newton's goes further: an exponential that is overshot comes back in small steps. */
const mostStepV = 0.6;
const closeV = 1e-5;
const leakSiemens = 1e-9;
/** The black probe is tied to nought by so much. */
const tiedSiemens = 1e6;

/** One implicit step. */
interface Moment {
  /** Infinity: once everything has settled. */
  stepS: number;
  /** Volts on the capacitors before it, by branch. */
  charge: ReadonlyMap<string, number>;
  /** Volts that the answer will be near. */
  from?: Float64Array;
}

/** Pieces of copper that the probes are on. */
export interface Probes {
  black: number;
  red: number;
}

export class Network {
  private readonly numbers = new Map<string, number>();
  private readonly diodes: readonly Placed<Diode>[];
  private readonly capacitors: readonly Placed<Capacitor>[];
  private readonly equations: Elimination;
  /** Of resistors and leaks, which are the same in each step. */
  private readonly still: { diagonal: Float64Array; beside: Float64Array };

  constructor(branches: readonly Branch[]) {
    const numbered = branches.map((branch) => ({ ...branch, i: this.numberOf(branch.a), j: this.numberOf(branch.b) }));
    const apart = numbered.filter(({ i, j }) => i !== j);
    this.equations = new Elimination(
      this.numbers.size,
      apart.map(({ i, j }) => [i, j] as const),
    );
    const placed = apart.map((branch): Placed => ({ ...branch, beside: this.equations.placeOf(branch.i, branch.j) }));
    this.diodes = placed.filter((branch): branch is Placed<Diode> => branch.is === 'diode');
    this.capacitors = placed.filter((branch): branch is Placed<Capacitor> => branch.is === 'capacitor');
    this.still = {
      diagonal: new Float64Array(this.numbers.size).fill(leakSiemens),
      beside: new Float64Array(this.equations.beside.length),
    };
    for (const branch of placed) if (branch.is === 'resistor') join(this.still, branch, 1 / branch.ohms);
  }

  /** The number of a piece of copper that something hangs on; null: nothing does. */
  piece(name: string): number | null {
    return this.numbers.get(name) ?? null;
  }

  /**
   * Volts of every piece against black. A constant current that would drive them over the meter's limit is the limit
   * behind next to nothing.
   */
  volts(probes: Probes, source: MeterSource, moment: Moment): Float64Array {
    const { limitV, limitA, seriesOhms } = source;
    const driven = (siemens: number, amperes: number) => this.driven(probes, { siemens, amperes }, moment);
    if (seriesOhms !== null) return driven(1 / seriesOhms, limitV / seriesOhms);
    const free = driven(0, limitA);
    return free[probes.red]! <= limitV ? free : driven(10, 10 * limitV);
  }

  /** Charge after a step that ended in these volts. */
  charged(volts: Float64Array, stepS: number, charge: ReadonlyMap<string, number>): Map<string, number> {
    const next = new Map(charge);
    for (const branch of this.capacitors) {
      const before = charge.get(branch.id) ?? 0;
      const amperes = (across(branch, volts) - before) / (branch.esrOhms + stepS / branch.farads);
      next.set(branch.id, before + (amperes * stepS) / branch.farads);
    }
    return next;
  }

  private numberOf(name: string): number {
    const known = this.numbers.get(name);
    if (known !== undefined) return known;
    this.numbers.set(name, this.numbers.size);
    return this.numbers.size - 1;
  }

  private driven(
    { black, red }: Probes,
    source: { siemens: number; amperes: number },
    { stepS, charge, from }: Moment,
  ): Float64Array {
    const { equations, still } = this;
    const { diagonal, beside, right } = equations;
    const size = diagonal.length;
    const push = ({ i, j }: Placed, amperes: number) => {
      right[i]! += amperes;
      right[j]! -= amperes;
    };
    const flowing = new Float64Array(this.diodes.length);
    let volts: Float64Array = from?.slice() ?? new Float64Array(size);
    for (let turn = 0; turn < 60; turn++) {
      diagonal.set(still.diagonal);
      beside.set(still.beside);
      right.fill(0);
      diagonal[black]! += tiedSiemens;
      diagonal[red]! += source.siemens;
      right[red]! += source.amperes;
      if (stepS !== Infinity)
        for (const branch of this.capacitors) {
          const siemens = 1 / (branch.esrOhms + stepS / branch.farads);
          join(equations, branch, siemens);
          push(branch, siemens * (charge.get(branch.id) ?? 0));
        }
      this.diodes.forEach((branch, index) => {
        const acrossV = across(branch, volts);
        const { amperes, siemens } = through(branch, acrossV, flowing[index]!);
        flowing[index] = amperes;
        join(equations, branch, siemens);
        push(branch, siemens * acrossV - amperes);
      });
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

type Siemens = Pick<Elimination, 'diagonal' | 'beside'>;

function join({ diagonal, beside }: Siemens, { i, j, beside: place }: Placed, siemens: number): void {
  diagonal[i]! += siemens;
  diagonal[j]! += siemens;
  beside[place]! -= siemens;
}

function across({ i, j }: Placed, volts: Float64Array): number {
  return volts[i]! - volts[j]!;
}

/**
 * Current of a diode with its series resistance, and how it changes with the volts across both.
 * @param near A current from which to look for it.
 */
function through(
  { saturationA, slopeV, seriesOhms }: Diode,
  acrossV: number,
  near: number,
): { amperes: number; siemens: number } {
  let amperes = near > 0 ? near : Math.max(0, (acrossV - 0.2) / (seriesOhms + 50));
  for (let turn = 0; turn < 30; turn++) {
    const inside = Math.max(amperes, -saturationA * 0.999);
    const wrongV = slopeV * Math.log1p(inside / saturationA) + inside * seriesOhms - acrossV;
    const next = inside - wrongV / (slopeV / (inside + saturationA) + seriesOhms);
    amperes = Math.max(next, -saturationA * 0.999);
    if (Math.abs(wrongV) < 1e-9) break;
  }
  return { amperes, siemens: 1 / (slopeV / (amperes + saturationA) + seriesOhms) };
}
