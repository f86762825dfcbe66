/**
 * What a meter says on an aircraft as it truly is, switched off: copper by flooding, then nodal analysis of the insides
 * with capacitors stepped through time. It shares nothing with the core's circuits and knows of no plan and no log.
 * Source of the charging law: i = C dv/dt, implicit Euler on a grid that grows by 15 %. Units: V, A, ohm, F, s.
 */
import type { Build, Catalogue, Length, Meter, MeterSource, TerminalRef } from '@junctor/core';
import { Matrix, solve } from 'ml-matrix';
import { conductors } from './dcSolve';
import type { Branch, Broken, Spread } from './insides';
import { asPrinted, insidesOf } from './insides';

/** A place where metal touches metal that should not. */
export interface Bridge {
  a: TerminalRef;
  b: TerminalRef;
  ohms: number;
}

interface Aircraft {
  build: Build;
  catalogue: Catalogue;
  meter: Meter;
  bridges?: readonly Bridge[];
  broken?: readonly Broken[];
  spread?: Spread;
}

const firstStepS = 2e-5;
const growth = 1.15;
const watchS = 25;

export class TrueMeter {
  private readonly branches: readonly Branch[];
  private readonly point: (slot: string, node: string) => string;
  private charge = new Map<string, number>();

  private readonly build: Build;
  private readonly catalogue: Catalogue;
  private readonly meter: Meter;

  constructor({ build, catalogue, meter, bridges = [], broken = [], spread = asPrinted }: Aircraft) {
    this.build = build;
    this.catalogue = catalogue;
    this.meter = meter;
    this.point = conductors(build, catalogue);
    this.branches = [
      ...insidesOf({ build, catalogue, point: this.point, broken, spread }),
      ...[...bridges, ...build.contacts].map(({ a, b, ohms }, index): Branch => ({
        id: `bridge ${index}`,
        a: this.at(a),
        b: this.at(b),
        is: 'resistor',
        ohms: Math.max(ohms, 1e-3),
      })),
    ];
  }

  /** Every capacitor is empty again. */
  bleed(): void {
    this.charge = new Map();
  }

  /**
   * How long it sounds. Where the probes are held for so long, the charge that is left lies on the capacitors for the
   * next touch.
   */
  hear(black: TerminalRef, red: TerminalRef, heldS = 0): Length {
    const [from, to] = [this.at(black), this.at(red)];
    if (from === to) return 'does not stop';
    const own = this.hangsTogether([from, to]);
    const { limitV, seriesOhms, beepBelowOhms, stopsAboveOhms, shortestToneMs } = this.meter;
    const at = (ohms: number) =>
      seriesOhms === null ? this.meter.limitA * ohms : (limitV * ohms) / (seriesOhms + ohms);
    const [beepV, stopV] = [at(beepBelowOhms), at(stopsAboveOhms)];
    const probes: Probes = { from, to, source: this.meter };
    const settledV = this.voltsOf(own, probes, Infinity).get(to) ?? 0;
    const startV = this.voltsOf(own, probes, firstStepS).get(to) ?? 0;
    const lengthOfIt = (): Length => {
      if (startV >= beepV) return 'none';
      if (settledV < beepV) return 'does not stop';
      const before = this.charge;
      const toneS = this.untilSilent(own, probes, stopV);
      this.charge = before;
      return lengthOf(toneS, shortestToneMs / 1000);
    };
    const length = lengthOfIt();
    this.hold(own, probes, heldS);
    return length;
  }

  /** Volts at red once everything has settled. */
  settledV(black: TerminalRef, red: TerminalRef, source: MeterSource): number {
    const [from, to] = [this.at(black), this.at(red)];
    if (from === to) return 0;
    return this.voltsOf(this.hangsTogether([from, to]), { from, to, source }, Infinity).get(to)!;
  }

  private at(ref: TerminalRef): string {
    const slot = ref.slice(0, ref.indexOf('.'));
    const id = ref.slice(slot.length + 1);
    const terminal = this.catalogue.model(this.build.slots[slot]!).terminals.find((one) => one.id === id);
    return this.point(slot, terminal!.node);
  }

  /** The branches through which a current from one probe to the other can go. */
  private hangsTogether(starts: readonly string[]): readonly Branch[] {
    const reached = new Set(starts);
    const own = new Set<Branch>();
    for (let grew = true; grew;) {
      grew = false;
      for (const branch of this.branches) {
        if (own.has(branch) || (!reached.has(branch.a) && !reached.has(branch.b))) continue;
        own.add(branch);
        reached.add(branch.a).add(branch.b);
        grew = true;
      }
    }
    return withoutDeadEnds(
      [...own].filter(({ a, b }) => a !== b),
      starts,
    );
  }

  /**
   * Volts against black after one implicit step; Infinity: once everything has settled. A constant current that would
   * drive them over the meter's limit is the limit behind next to nothing.
   */
  private voltsOf(own: readonly Branch[], probes: Probes, stepS: number): Map<string, number> {
    const { limitV, limitA, seriesOhms } = probes.source;
    if (seriesOhms !== null)
      return this.drivenBy({ siemens: 1 / seriesOhms, amperes: limitV / seriesOhms }, own, probes, stepS);
    const free = this.drivenBy({ siemens: 0, amperes: limitA }, own, probes, stepS);
    return (free.get(probes.to) ?? 0) <= limitV
      ? free
      : this.drivenBy({ siemens: 10, amperes: 10 * limitV }, own, probes, stepS);
  }

  private drivenBy(
    source: { siemens: number; amperes: number },
    own: readonly Branch[],
    { from, to }: Probes,
    stepS: number,
  ): Map<string, number> {
    const names = [...new Set([to, ...own.flatMap(({ a, b }) => [a, b])])].filter((name) => name !== from);
    const index = new Map(names.map((name, place) => [name, place]));
    let volts = new Float64Array(names.length);
    const v = (name: string) => (name === from ? 0 : volts[index.get(name)!]!);
    for (let turn = 0; turn < 60; turn++) {
      const left = Matrix.zeros(names.length, names.length);
      const right = new Float64Array(names.length);
      const stamp = (a: string, b: string, siemens: number, pushA: number) => {
        for (const [one, other, sign] of [
          [a, b, 1],
          [b, a, -1],
        ] as const) {
          const i = index.get(one);
          if (i === undefined) continue;
          left.set(i, i, left.get(i, i) + siemens);
          const j = index.get(other);
          if (j !== undefined) left.set(i, j, left.get(i, j) - siemens);
          right[i]! += sign * pushA;
        }
      };
      for (let place = 0; place < names.length; place++) left.set(place, place, 1e-9);
      stamp(to, from, source.siemens, source.amperes);
      for (const branch of own) {
        const across = v(branch.a) - v(branch.b);
        if (branch.is === 'resistor') stamp(branch.a, branch.b, 1 / branch.ohms, 0);
        else if (branch.is === 'capacitor') {
          if (stepS === Infinity) continue;
          const siemens = 1 / (branch.esrOhms + stepS / branch.farads);
          stamp(branch.a, branch.b, siemens, siemens * (this.charge.get(branch.id) ?? 0));
        } else {
          const { amperes, siemens } = through(branch, across);
          stamp(branch.a, branch.b, siemens, siemens * across - amperes);
        }
      }
      const next = Float64Array.from(solve(left, Matrix.columnVector(right)).to1DArray());
      // Damped: an exponential that is overshot comes back in small steps.
      let most = 0;
      for (let place = 0; place < next.length; place++) {
        const change = Math.max(-0.3, Math.min(0.3, next[place]! - volts[place]!));
        most = Math.max(most, Math.abs(next[place]! - volts[place]!));
        next[place] = volts[place]! + change;
      }
      volts = next;
      if (most < 1e-5) break;
    }
    return new Map([[from, 0], ...names.map((name, place): [string, number] => [name, volts[place]!])]);
  }

  /** One step in time. Returns the volts at red. */
  private step(own: readonly Branch[], probes: Probes, stepS: number): number {
    const volts = this.voltsOf(own, probes, stepS);
    const next = new Map(this.charge);
    for (const branch of own) {
      if (branch.is !== 'capacitor') continue;
      const before = this.charge.get(branch.id) ?? 0;
      const across = volts.get(branch.a)! - volts.get(branch.b)!;
      const amperes = (across - before) / (branch.esrOhms + stepS / branch.farads);
      next.set(branch.id, before + (amperes * stepS) / branch.farads);
    }
    this.charge = next;
    return volts.get(probes.to)!;
  }

  private untilSilent(own: readonly Branch[], probes: Probes, stopV: number): number {
    let beforeV = 0;
    for (let [atS, stepS] = [0, firstStepS]; atS < watchS; stepS *= growth) {
      const nowV = this.step(own, probes, stepS);
      if (nowV > stopV) return atS + (stepS * (stopV - beforeV)) / (nowV - beforeV);
      beforeV = nowV;
      atS += stepS;
    }
    return Infinity;
  }

  private hold(own: readonly Branch[], probes: Probes, heldS: number): void {
    if (own.every(({ is }) => is !== 'capacitor')) return;
    for (let [atS, stepS] = [0, heldS / 200]; atS < heldS; stepS *= growth) {
      const taken = Math.min(stepS, heldS - atS);
      this.step(own, probes, taken);
      atS += taken;
    }
  }
}

interface Probes {
  from: string;
  to: string;
  source: MeterSource;
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
function through(
  { saturationA, slopeV: slope, seriesOhms }: Extract<Branch, { is: 'diode' }>,
  across: number,
): { amperes: number; siemens: number } {
  let amperes = across > 0.2 ? (across - 0.2) / (seriesOhms + 50) : 0;
  for (let turn = 0; turn < 30; turn++) {
    const inside = Math.max(amperes, -saturationA * 0.999);
    const wrongV = slope * Math.log1p(inside / saturationA) + inside * seriesOhms - across;
    const next = inside - wrongV / (slope / (inside + saturationA) + seriesOhms);
    amperes = Math.max(next, -saturationA * 0.999);
    if (Math.abs(wrongV) < 1e-9) break;
  }
  return { amperes, siemens: 1 / (slope / (amperes + saturationA) + seriesOhms) };
}

function lengthOf(toneS: number, shortestS: number): Length {
  if (toneS < shortestS) return 'none';
  if (toneS <= 0.35) return 'chirp';
  if (toneS <= 2.5) return 'about a second';
  return toneS <= 20 ? 'many seconds' : 'does not stop';
}
