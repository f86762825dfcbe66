/** Boards with insides drawn at random: what each fault shows, found with all shortcuts and by solving all there is. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { assemble } from '../../../facts/assembly/assembly';
import { makeCatalogue } from '../../../facts/catalogue/catalogue';
import type { Element, Role } from '../../../facts/catalogue/partModel';
import { lookUp } from '../../../facts/terms/lookUp';
import { compileSound } from '../../../physics/circuit/compile';
import { edited } from '../../../physics/circuit/edited';
import { conductorBelowOhms } from '../../../physics/circuit/port';
import { reduceToPort } from '../../../physics/circuit/reduce';
import { solvePort } from '../../../physics/circuit/solve';
import { driveOf } from '../../../physics/circuit/system';
import { sourceOf, voltsAcross } from '../../../facts/terms/meter';
import { buildOf, gives, ground, model, pin, port, takes, terminal, wire } from '../../../testing/fixtures';
import type { Defect } from '../defects/defect';
import { defectsOf } from '../defects/defectsOf';
import { referenceMeter } from '../referenceMeter';
import type { Candidate } from './candidates';
import { candidatesFor } from './candidates';
import { simulator } from './simulate';

const lead = model('lead', 'battery lead', [terminal('P', [gives(0, 26)]), terminal('N', [ground], { atMm: [20, 0] })]);
const pads = ['VB', 'G', 'V3', 'A', 'B', 'C', 'D'] as const;
const rolesOf: Readonly<Record<string, Role>> = {
  VB: takes(6, 26),
  G: ground,
  V3: gives(3.2, 3.4),
  A: pin('U', 'tx'),
  B: pin('U', 'rx'),
};

function boardOf(elements: readonly Element[]) {
  return model(
    'board',
    'controller',
    pads.map((id, index) =>
      terminal(id, [lookUp(rolesOf, id) ?? pin('W', index % 2 ? 'tx' : 'rx')], { atMm: [2 * index, 0] }),
    ),
    { ports: [port('U', 'serial'), port('W', 'serial')], elements },
  );
}

const element = fc.record({
  ends: fc.tuple(fc.constantFrom(...pads), fc.constantFrom(...pads)).filter(([a, b]) => a !== b),
  ohms: fc.integer({ min: 8, max: 20_000 }),
  isDiode: fc.boolean(),
});

const insides = fc.array(element, { minLength: 3, maxLength: 9 }).map((drawn) =>
  drawn.map(({ ends: [a, b], ohms, isDiode }, index): Element => {
    const own = { id: `E${index}`, fails: ['open', 'short'] as const };
    return isDiode
      ? { ...own, is: 'diode', anode: a, cathode: b, forwardV: 0.65, atA: 1e-3, seriesOhms: 5 }
      : { ...own, is: 'resistor', a, b, ohms };
  }),
);

/** Volts at the port once all is settled, with nothing kept from the good circuit. */
function voltsWith(circuit: ReturnType<typeof compileSound>, { touch: { black, red, mode } }: Candidate): number {
  const [blackNode, redNode] = [black, red].map((ref) => lookUp(circuit.at, ref)!) as [string, string];
  const port = reduceToPort(circuit, { blackNode, redNode }, conductorBelowOhms, false);
  const source = sourceOf(referenceMeter, mode);
  if (port.red === port.black) return 0;
  return Math.min(solvePort(port, driveOf(source), () => null).portV, source.limitV);
}

/** By a tone that comes or goes, or by a short where there was none; null: too near to call. */
function tells(goodV: number, faultyV: number, mode: string): boolean | null {
  if (mode === 'diode') {
    const most = sourceOf(referenceMeter, 'diode').countsTo ?? Infinity;
    const [good, faulty] = [Math.min(goodV, most), Math.min(faultyV, most)];
    if (Math.abs(good - faulty) < 0.01) return false;
    // Between these lies all that good parts differ by.
    return good > 1.45 && faulty < 0.05 ? true : null;
  }
  const { beepBelowOhms, stopsAboveOhms, spread } = referenceMeter;
  const soundsV = voltsAcross(referenceMeter, beepBelowOhms * (1 - spread));
  const silentV = voltsAcross(referenceMeter, stopsAboveOhms * (1 + spread));
  const is = (volts: number) => {
    if (volts < soundsV - 0.002) return 'sounds';
    return volts > silentV + 0.002 ? 'silent' : null;
  };
  const [good, faulty] = [is(goodV), is(faultyV)];
  return good && faulty ? good !== faulty : null;
}

/** A diode beyond its knee on a stiff node: what looks settled there is not, while its line lies elsewhere. */
const stiff: readonly Element[] = [
  {
    id: 'E0',
    fails: ['open', 'short'],
    is: 'diode',
    anode: 'G',
    cathode: 'A',
    forwardV: 0.65,
    atA: 1e-3,
    seriesOhms: 5,
  },
  { id: 'E1', fails: ['open', 'short'], is: 'resistor', a: 'G', b: 'A', ohms: 10_382 },
  { id: 'E2', fails: ['open', 'short'], is: 'resistor', a: 'C', b: 'V3', ohms: 9275 },
  { id: 'E3', fails: ['open', 'short'], is: 'resistor', a: 'A', b: 'C', ohms: 8 },
];

it('shows what solving the faulty circuit shows, by every shortcut', () => {
  fc.assert(
    fc.property(insides, (elements) => {
      const assembly = assemble(
        buildOf({ BAT: 'lead', FC: 'board' }, [wire('WP', 'BAT.P', 'FC.VB'), wire('WN', 'BAT.N', 'FC.G')]),
        makeCatalogue([lead, boardOf(elements)]),
      );
      const circuit = compileSound(assembly);
      const defects: readonly Defect[] = defectsOf(assembly);
      const candidates = candidatesFor(assembly, defects).all;
      const { good, shownBy } = simulator(circuit, { defects, meter: referenceMeter })(candidates);
      const goodV = candidates.map((one) => voltsWith(circuit, one));
      defects.forEach(({ edits, site, id }, index) => {
        const faulty = edited(circuit, edits, site);
        candidates.forEach((one, place) => {
          if (good(place) === 'unsure') return;
          const told = tells(goodV[place]!, voltsWith(faulty, one), one.touch.mode);
          if (told === null) return;
          expect([id, one.touch, shownBy[index]!.includes(place)]).toEqual([id, one.touch, told]);
        });
      });
    }),
    { numRuns: 25, examples: [[[...stiff]]] },
  );
});
