/**
 * What a meter says on an aircraft as it truly is, switched off: copper by flooding, then nodal analysis of the insides
 * with capacitors stepped through time. It shares nothing with the core's circuits and knows of no plan and no log.
 * Source of the charging law: i = C dv/dt, implicit Euler on a grid that grows by 15 %. Units: V, A, ohm, F, s.
 */
import type { Build, Catalogue, Heard, Length, Meter, MeterSource, TerminalRef, Touch } from '@junctor/core';
import { conductors } from './dcSolve';
import type { Branch, Broken, Spread, Unshown } from './insides';
import { asPrinted, insidesOf, unshownBranch } from './insides';
import type { Probes } from './network';
import { Network } from './network';

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
  /** What its parts have besides. */
  unshown?: readonly Unshown[];
  spread?: Spread;
}

/** So near to its own limit a meter shows no number. */
const closeV = 0.02;
/** Of the meter's leads and tips. */
const leadOhms = 0.2;
const firstStepS = 2e-5;
const growth = 1.15;
const watchS = 25;

export class TrueMeter {
  private readonly network: Network;
  private readonly point: (slot: string, node: string) => string;
  private readonly settled = new WeakMap<MeterSource, Map<string, number>>();
  private charge: ReadonlyMap<string, number> = new Map();

  private readonly build: Build;
  private readonly catalogue: Catalogue;
  private readonly meter: Meter;

  constructor({ build, catalogue, meter, bridges = [], broken = [], unshown = [], spread = asPrinted }: Aircraft) {
    this.build = build;
    this.catalogue = catalogue;
    this.meter = meter;
    this.point = conductors(build, catalogue);
    this.network = new Network([
      ...insidesOf({ build, catalogue, point: this.point, broken, spread }),
      ...[...bridges, ...build.contacts].map(({ a, b, ohms }, index): Branch => ({
        id: `bridge ${index}`,
        a: this.at(a),
        b: this.at(b),
        is: 'resistor',
        ohms: Math.max(ohms, 1e-3),
      })),
      ...unshown.map((one, index) => unshownBranch(one, `unshown ${index}`, [this.at(one.a), this.at(one.b)])),
    ]);
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
    const probes = this.probes(black, red);
    if (probes === 'one piece') return 'does not stop';
    const { limitV, limitA, seriesOhms, beepBelowOhms, stopsAboveOhms, shortestToneMs } = this.meter;
    const at = (ohms: number) => (seriesOhms === null ? limitA * ohms : (limitV * ohms) / (seriesOhms + ohms));
    const [beepV, stopV] = [at(beepBelowOhms), at(stopsAboveOhms)];
    const redV = (stepS: number) =>
      probes ? this.network.volts(probes, this.meter, { stepS, charge: this.charge })[probes.red]! : limitV;
    const lengthOfIt = (): Length => {
      if (redV(firstStepS) >= beepV) return 'none';
      if (redV(Infinity) < beepV) return 'does not stop';
      return probes ? lengthOf(this.untilSilent(probes, stopV), shortestToneMs / 1000) : 'none';
    };
    const length = lengthOfIt();
    if (probes) this.hold(probes, heldS);
    return length;
  }

  /** Volts at red once everything has settled. */
  settledV(black: TerminalRef, red: TerminalRef, source: MeterSource): number {
    // No capacitor carries anything any more, whatever it holds: the same copper is settled once.
    const known = this.settled.get(source) ?? new Map<string, number>();
    this.settled.set(source, known);
    const copper = `${this.at(black)}~${this.at(red)}`;
    const before = known.get(copper);
    if (before !== undefined) return before;
    const probes = this.probes(black, red);
    const volts = () => {
      if (probes === 'one piece') return 0;
      return probes
        ? this.network.volts(probes, source, { stepS: Infinity, charge: this.charge })[probes.red]!
        : source.limitV;
    };
    known.set(copper, volts());
    return known.get(copper)!;
  }

  /** What is read off it at a touch in tones, diode volts or ohms, after everything was emptied. */
  answer({
    black,
    red,
    mode,
  }: Pick<Touch, 'black' | 'red' | 'mode'>): Pick<Heard, 'length' | 'value' | 'open' | 'unit'> {
    this.bleed();
    if (mode === 'tone') return { length: this.hear(black, red) };
    if (mode === 'ohms') return this.readOhms(black, red);
    const source = this.meter.modes?.diode ?? this.meter;
    const volts = this.settledV(black, red, source);
    const isOpen = volts >= (source.countsTo ?? source.limitV - closeV);
    return isOpen ? { open: true, unit: 'V' } : { value: volts, unit: 'V' };
  }

  /** The volts that its source leaves, as resistance; its own leads are in it. */
  private readOhms(black: TerminalRef, red: TerminalRef): Pick<Heard, 'value' | 'open' | 'unit'> {
    const source = this.meter.modes?.ohms ?? this.meter;
    const volts = this.settledV(black, red, source);
    const left = source.limitV - volts;
    const amps = source.seriesOhms === null ? source.limitA : left / source.seriesOhms;
    const ohms = volts / amps + leadOhms;
    const isOpen = left < closeV || ohms > (source.countsTo ?? Infinity);
    return isOpen ? { open: true, unit: 'ohm' } : { value: ohms, unit: 'ohm' };
  }

  /** Null where nothing hangs on one of them. */
  private probes(black: TerminalRef, red: TerminalRef): Probes | 'one piece' | null {
    const [from, to] = [this.at(black), this.at(red)];
    if (from === to) return 'one piece';
    const pieces = [this.network.piece(from), this.network.piece(to)];
    return pieces[0] === null || pieces[1] === null ? null : { black: pieces[0]!, red: pieces[1]! };
  }

  private at(ref: TerminalRef): string {
    const slot = ref.slice(0, ref.indexOf('.'));
    const id = ref.slice(slot.length + 1);
    const terminal = this.catalogue.model(this.build.slots[slot]!).terminals.find((one) => one.id === id);
    return this.point(slot, terminal!.node);
  }

  /** Seconds until the volts at red have passed the threshold. */
  private untilSilent(probes: Probes, stopV: number): number {
    let [charge, beforeV] = [this.charge, 0];
    let from: Float64Array | undefined;
    for (let [atS, stepS] = [0, firstStepS]; atS < watchS; stepS *= growth) {
      const volts = this.network.volts(probes, this.meter, { stepS, charge, ...(from ? { from } : {}) });
      from = volts;
      charge = this.network.charged(volts, stepS, charge);
      const nowV = volts[probes.red]!;
      if (nowV > stopV) return atS + (stepS * (stopV - beforeV)) / (nowV - beforeV);
      beforeV = nowV;
      atS += stepS;
    }
    return Infinity;
  }

  private hold(probes: Probes, heldS: number): void {
    for (let [atS, stepS] = [0, heldS / 200]; atS < heldS; stepS *= growth) {
      const taken = Math.min(stepS, heldS - atS);
      const volts = this.network.volts(probes, this.meter, { stepS: taken, charge: this.charge });
      this.charge = this.network.charged(volts, taken, this.charge);
      atS += taken;
    }
  }
}

function lengthOf(toneS: number, shortestS: number): Length {
  if (toneS < shortestS) return 'none';
  if (toneS <= 0.35) return 'chirp';
  if (toneS <= 2.5) return 'about a second';
  return toneS <= 20 ? 'many seconds' : 'does not stop';
}
