/**
 * What becomes of a settled port when elements are hung elsewhere and nodes are joined, with a straight line laid on
 * every bent element: a few equations beside the factors of the good circuit instead of a circuit solved anew.
 * Source: compensation and Woodbury's identity (Chua, Desoer, Kuh: Linear and Nonlinear Circuits, ch. 5).
 */
import { diodeOf } from './diode';
import { solveFactored } from './ldl';
import type { Inner, PortCircuit } from './port';
import { through } from './solve';
import type { Drive } from './system';
import { leakSiemens, System } from './system';

/** Over so little nothing bends. */
const stillV = 1e-5;

type Ends = readonly [a: number, b: number];

export interface Rewiring {
  /** From which nodes an element goes, and to which; null: it was not there, or is gone. */
  replaced: readonly { element: Inner['element']; from: Ends | null; to: Ends | null }[];
  joined: readonly { ends: Ends; ohms: number }[];
  /** So many nodes are new, numbered after those of the circuit. */
  added: number;
}

/** A current that nothing carried before: out of a node, into another; what it is follows from an equation. */
interface Unknown {
  out: number;
  into: number;
  /** amps = siemens * (volts from `out` to `into`) + own; for a joint of little resistance as well. */
  siemens: number;
  own: number;
  /** Through what; null: metal. */
  element: Inner['element'] | null;
  /** True: it runs against an element that is taken away, and so follows it at its old place. */
  isAgainst: boolean;
}

export class Linearised {
  private readonly factors: Float64Array;
  private readonly bent: System['curved'];
  private readonly columns: (Float64Array | undefined)[] = [];

  constructor(
    private readonly circuit: PortCircuit,
    drive: Drive,
    private readonly volts: readonly number[],
  ) {
    const system = new System(circuit, drive, () => null);
    system.straighten(volts);
    this.factors = system.factored();
    this.bent = system.curved;
  }

  /**
   * By how many volts the port moves, with the currents in A that are over where a bent element carries something else
   * than its straight line: where there are none the answer is exact.
   */
  movedBy({ replaced, joined, added }: Rewiring): { portV: number; overA: number } {
    const { size, red } = this.circuit;
    const unknowns: Unknown[] = [
      ...replaced.flatMap(({ element, from, to }) => [
        ...(from ? [this.unknown(element, from, from, true)] : []),
        ...(to ? [this.unknown(element, to, from ?? to, false)] : []),
      ]),
      ...joined.map(({ ends: [out, into], ohms }) => ({
        out,
        into,
        siemens: 1 / ohms,
        own: 0,
        element: null,
        isAgainst: false,
      })),
    ];
    const count = unknowns.length;
    const width = count + added + 1;
    const rows = unknowns.map((row, index) => {
      const { out, into, siemens, own } = row;
      const line = new Float64Array(width);
      unknowns.forEach((one, column) => {
        line[column] = -siemens * (this.response(out, one) - this.response(into, one));
      });
      line[index]! += 1;
      if (out >= size) line[count + out - size]! -= siemens;
      if (into >= size) line[count + into - size]! += siemens;
      line[width - 1] = own + siemens * (this.voltsAt(out) - this.voltsAt(into));
      return line;
    });
    for (let node = 0; node < added; node++) {
      const line = new Float64Array(width);
      unknowns.forEach(({ out, into }, column) => {
        line[column] = Number(out === size + node) - Number(into === size + node);
      });
      line[count + node] = leakSiemens;
      rows.push(line);
    }
    const solved = eliminated(rows);
    const moved = (node: number) =>
      node < size
        ? unknowns.reduce((sum, one, index) => sum + solved[index]! * this.response(node, one), 0)
        : solved[count + node - size]!;
    const movedTo = Float64Array.from({ length: size + added }, (_, node) => moved(node));
    return { portV: movedTo[red]!, overA: this.overA(unknowns, movedTo) };
  }

  private overA(unknowns: readonly Unknown[], moved: Float64Array): number {
    const isReplaced = new Set<unknown>(
      unknowns.flatMap(({ element }) => (element?.is === 'diode' ? [diodeOf(element)] : [])),
    );
    const { volts, bent } = this;
    let over = 0;
    for (const { a, b, of, line } of bent) {
      const change = moved[a]! - moved[b]!;
      if (Math.abs(change) < stillV || isReplaced.has(of)) continue;
      const across = volts[a]! - volts[b]! + change;
      over += Math.abs(of.at(across).amps - line.amps - line.siemens * across);
    }
    for (const { out, into, siemens, own, element, isAgainst } of unknowns) {
      if (isAgainst || element?.is !== 'diode') continue;
      const across = this.voltsAt(out) + moved[out]! - (this.voltsAt(into) + moved[into]!);
      over += Math.abs(through(element, across).amps - siemens * across - own);
    }
    return over;
  }

  private unknown(element: Inner['element'], [out, into]: Ends, [oldOut, oldInto]: Ends, isAgainst: boolean): Unknown {
    const { volts } = this;
    const { size } = this.circuit;
    // A new node stands where the element was before, until it is known better.
    const across = volts[out < size ? out : oldOut]! - volts[into < size ? into : oldInto]!;
    const { amps, siemens } = through(element, across);
    return { out, into, siemens, own: amps - siemens * across, element, isAgainst };
  }

  private voltsAt(node: number): number {
    return this.volts[node] ?? 0;
  }

  /** Volts at a node for one ampere of it. */
  private response(node: number, { out, into, isAgainst }: Unknown): number {
    const { size } = this.circuit;
    if (node === 0 || node >= size) return 0;
    const at = (of: number) => (of === 0 || of >= size ? 0 : this.column(of)[node - 1]!);
    return (isAgainst ? -1 : 1) * (at(into) - at(out));
  }

  private column(node: number): Float64Array {
    const known = this.columns[node];
    if (known) return known;
    const column = new Float64Array(this.circuit.size - 1);
    column[node - 1] = 1;
    solveFactored(this.factors, column);
    this.columns[node] = column;
    return column;
  }
}

/** Gauss's elimination with the greatest pivot of each column. @param rows Each with its right side at the end. */
function eliminated(rows: Float64Array[]): Float64Array {
  const n = rows.length;
  for (let k = 0; k < n; k++) {
    let best = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(rows[i]![k]!) > Math.abs(rows[best]![k]!)) best = i;
    [rows[k], rows[best]] = [rows[best]!, rows[k]!];
    const pivot = rows[k]!;
    for (let i = k + 1; i < n; i++) {
      const row = rows[i]!;
      const factor = row[k]! / pivot[k]!;
      if (factor !== 0) for (let j = k; j <= n; j++) row[j]! -= factor * pivot[j]!;
    }
  }
  const solution = new Float64Array(n);
  for (let k = n - 1; k >= 0; k--) {
    let value = rows[k]![n]!;
    for (let j = k + 1; j < n; j++) value -= rows[k]![j]! * solution[j]!;
    solution[k] = value / rows[k]![k]!;
  }
  return solution;
}
