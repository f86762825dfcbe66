/** A circuit as equations, made ready once for all places where probes can be: conductances, and what bends. */
import type { Diode } from './diode';
import { diodeOf } from './diode';
import { Pattern } from './ldl';
import type { Inner, PortCircuit } from './port';

interface Capacitor {
  id: string;
  a: number;
  b: number;
  place: number;
}

export class Equations {
  readonly pattern: Pattern;
  /** Of all resistors, as the pattern keeps them. */
  readonly siemens: Float64Array;
  /** Elements that bend with the volts across them: from `bentA` to `bentB`, kept at `bentPlace`. */
  readonly bent: readonly Diode[];
  readonly bentA: Int32Array;
  readonly bentB: Int32Array;
  readonly bentPlace: Int32Array;
  readonly capacitors: readonly Capacitor[];

  constructor(size: number, branches: readonly Inner[]) {
    this.pattern = new Pattern(size, branches);
    this.siemens = new Float64Array(this.pattern.entries);
    const bent: Diode[] = [];
    const capacitors: Capacitor[] = [];
    const [bentA, bentB, bentPlace]: [number[], number[], number[]] = [[], [], []];
    for (const { id, a, b, element } of branches) {
      const place = this.pattern.placeOf(a, b);
      if (element.is === 'resistor') connect(this.siemens, { a, b, place }, 1 / element.ohms);
      else if (element.is === 'capacitor') capacitors.push({ id, a, b, place });
      else {
        bent.push(diodeOf(element));
        bentA.push(a);
        bentB.push(b);
        bentPlace.push(place);
      }
    }
    this.bent = bent;
    this.bentA = Int32Array.from(bentA);
    this.bentB = Int32Array.from(bentB);
    this.bentPlace = Int32Array.from(bentPlace);
    this.capacitors = capacitors;
  }
}

/** Adds a conductance between two nodes. */
export function connect(
  siemens: Float64Array,
  { a, b, place }: { a: number; b: number; place: number },
  value: number,
): void {
  siemens[a]! += value;
  siemens[b]! += value;
  siemens[place]! -= value;
}

const ready = new WeakMap<PortCircuit['branches'], Equations>();

/** Of circuits that differ only in where the probes are it is made once. */
export function equationsOf({ size, branches }: PortCircuit): Equations {
  const known = ready.get(branches);
  if (known) return known;
  const made = new Equations(size, branches);
  ready.set(branches, made);
  return made;
}
