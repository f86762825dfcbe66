/** Nodal analysis of a port circuit, with Newton's method for what bends. */
import { diodeOf } from './diode';
import type { PortCircuit } from './port';
import type { CapacitorAs, Drive } from './system';
import { System } from './system';

interface Solution {
  /** By node, against the black probe. */
  volts: Float64Array;
  /** Red against black. */
  portV: number;
  /** Into the plus side of each capacitor, in A. */
  capacitorA: Readonly<Record<string, number>>;
}

/** Steps shrink by their square: after one of this size the next is not worth it. */
const toleranceV = 3e-4;
const maxSteps = 200;
/** Newton steps are cut to this, so that exponentials do not overshoot. */
const longestStepV = 2;

interface Asked {
  /** Volts of each node, near which the answer will be. */
  guess?: Float64Array | undefined;
  /** True where an answer is good enough in which currents of `overA` in all are still over. */
  isEnough?: (portV: number, overA: number) => boolean;
}

/** @throws {Error} If Newton's method does not settle. */
export function solvePort(
  circuit: PortCircuit,
  drive: Drive,
  capacitorAs: CapacitorAs,
  { guess = new Float64Array(circuit.size), isEnough = () => false }: Asked = {},
): Solution {
  const system = new System(circuit, drive, capacitorAs);
  const start = guess.slice();
  start[circuit.black] = 0;
  const volts = settle(system, start, (now, overA) => isEnough(now[circuit.red]!, overA));
  const capacitorA: Record<string, number> = {};
  for (const { id, a, b, volts: own, ohms } of system.capacitors) capacitorA[id] = (volts[a]! - volts[b]! - own) / ohms;
  return { volts, portV: volts[circuit.red]!, capacitorA };
}

/**
 * Newton's method. Every element carries more the more volts it has, so the solution is one and the way there leads
 * down: where full steps do not settle, each step is halved until it comes nearer.
 * @throws {Error} If that does not settle either.
 */
function settle(
  system: System,
  guess: Float64Array,
  isEnough: (volts: Float64Array, overA: number) => boolean,
): Float64Array {
  const volts = guess.slice();
  let isWholeStep = false;
  for (let step = 0; step < maxSteps; step++) {
    const overA = system.straighten(volts);
    // Where the lines lead nothing is over but what bends away from them.
    if (isWholeStep && isEnough(volts, overA)) return volts;
    const next = system.alongLines();
    const largest = largestChange(volts, next);
    const isThere = (largest < toleranceV && !system.isFarOff) || !system.bends;
    isWholeStep = isThere || largest <= longestStepV;
    const share = isWholeStep ? 1 : longestStepV / largest;
    for (let i = 0; i < next.length; i++) volts[i]! += share * (next[i]! - volts[i]!);
    if (isThere) return volts;
  }
  return downhill(system, guess);
}

function downhill(system: System, guess: Float64Array): Float64Array {
  let volts = guess.slice();
  let miss = system.missing(volts);
  for (let step = 0; step < maxSteps; step++) {
    const from = volts;
    system.straighten(from);
    const next = system.alongLines().slice();
    const tried = (share: number) => from.map((value, node) => value + share * (next[node]! - value));
    let share = 1;
    volts = tried(share);
    let left = system.missing(volts);
    while (left > miss * (1 - share / 10) && share > 1e-6) {
      share /= 2;
      volts = tried(share);
      left = system.missing(volts);
    }
    miss = left;
    if (largestChange(from, next) < toleranceV) return volts;
  }
  throw new Error('the circuit did not settle');
}

function largestChange(volts: Float64Array, next: Float64Array): number {
  let largest = 0;
  for (let i = 0; i < next.length; i++) largest = Math.max(largest, Math.abs(next[i]! - volts[i]!));
  return largest;
}

/** What an element carries once everything has settled, in A. */
export function through(element: PortCircuit['branches'][number]['element'], across: number): number {
  switch (element.is) {
    case 'diode':
      return diodeOf(element).ampsAt(across);
    case 'resistor':
      return across / element.ohms;
    case 'capacitor':
      return 0;
  }
}
