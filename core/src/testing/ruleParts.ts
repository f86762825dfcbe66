/** Small parts and wires that rules are tried on, one fault at a time. */
import { assemble } from '../facts/assembly/assembly';
import type { Build, Wire } from '../facts/assembly/build';
import { makeCatalogue } from '../facts/catalogue/catalogue';
import type { Element, PartModel, Port, Terminal } from '../facts/catalogue/partModel';
import { judge } from '../judgement/rules/judge';
import { buildOf, gives, ground, model, pin, takes, terminal, wire } from './fixtures';

export const lead = model('lead', 'battery lead', [terminal('P', [gives(0, 60)]), terminal('N', [ground])]);
export const regulator = (outV: number, over: Partial<Extract<Element, { is: 'regulator' }>> = {}): Element => ({
  id: `R${outV}`,
  fails: [],
  is: 'regulator',
  kindOf: 'step-down',
  input: 'VB',
  output: `O${outV}`,
  ground: 'G',
  enable: 'always',
  outV,
  minInV: outV + 2,
  limitA: 1,
  stillAirA: 0.8,
  efficiency: 0.9,
  idleA: 0,
  offOhms: 900,
  backDiodeV: null,
  ...over,
});
export const load = (plus: string, typicalA: number, peakA = typicalA): Element => ({
  id: `LOAD${plus}`,
  fails: [],
  is: 'load',
  plus,
  minus: 'G',
  offOhms: 900,
  idleA: 0,
  typicalA,
  peakA,
  constant: 'current',
  wakesAtV: 3,
  liveOnUsb: false,
});
export const capacitor = (farads: number): PartModel =>
  model('cap', 'capacitor', [terminal('P', [takes(0, 35)]), terminal('N', [ground])], {
    elements: [
      {
        id: 'C',
        fails: [],
        is: 'capacitor',
        plus: 'P',
        minus: 'N',
        farads,
        esrOhms: 0.02,
        leakOhms: 1e5,
        ratedV: 35,
        keepsAtRated: 1,
        polarised: true,
      },
    ],
  });
export const signal = (
  id: string,
  portId: string,
  at: Parameters<typeof pin>[1] | 'in' | 'out' | 'sda' | 'scl' | 'plus' | 'minus',
  over: Partial<Terminal> = {},
): Terminal => terminal(id, [{ is: 'port', port: portId, pin: at }], { withstandV: [-0.3, 5.5], ...over });

export function board(terminals: readonly Terminal[], ports: readonly Port[], elements: readonly Element[] = []) {
  return model(
    'board',
    'controller',
    [
      terminal('VB', [takes(10, 26)], { holds: 2 }),
      terminal('G', [ground], { holds: 9 }),
      terminal('O5', [gives(4.75, 5.25)], { withstandV: [-0.3, 5.5], holds: 4 }),
      ...terminals,
    ],
    { ports, elements: [regulator(5), ...elements] },
  );
}

export const power = [wire('WP', 'BAT.P', 'FC.VB', { awg: 14 }), wire('WN', 'BAT.N', 'FC.G', { awg: 14 })];
export const fed = [wire('V', 'X.V', 'FC.O5'), wire('XG', 'X.G', 'FC.G')];
export const own = [terminal('V', [takes(4.5, 5.5)], { withstandV: [-0.3, 6] }), terminal('G', [ground])];

/** Severity and rule of everything that is found on these parts, beside a battery lead. */
export function found(parts: Record<string, PartModel>, wires: readonly Wire[], more: Partial<Build> = {}): string[] {
  const slots = Object.fromEntries(Object.entries(parts).map(([slot, { id }]) => [slot, id]));
  const build = { ...buildOf({ BAT: 'lead', ...slots }, wires), ...more };
  const catalogue = makeCatalogue([lead, ...new Map(Object.values(parts).map((one) => [one.id, one])).values()]);
  return judge(assemble(build, catalogue), [], [4, 6]).map(({ severity, rule }) => `${severity} ${rule}`);
}
