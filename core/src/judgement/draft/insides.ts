/**
 * Typical insides of a board whose inside nobody has measured: regulators for the rails it gives, clamps on its
 * signals, ceramics on its rails. Starting values of the trade, marked as assumed; a first measurement takes their
 * place.
 */
import { firstOfNode } from '../../facts/catalogue/conductors';
import type { Element, Terminal } from '../../facts/catalogue/partModel';

const fails = ['open', 'short'] as const;
/** What a regulator wants at its input for its full output. */
const fullOutputFactor = 1.25;

/**
 * @param unknown Nodes that nobody knows: they may or may not be joined to ground, so that no reading on them is
 * promised.
 */
export function insides(terminals: readonly Terminal[], unknown: readonly string[]): Element[] {
  const nodes = new Set(terminals.map(({ node }) => node));
  if (!nodes.has('GND')) return [];
  const rails = railsOf(terminals);
  const battery = rails.find(({ node }) => node === 'VB') ?? null;
  const given = rails.filter(({ dir, node }) => dir === 'gives' && node !== 'VB');
  const source = battery ?? rails.find(({ dir }) => dir === 'takes') ?? null;
  // The logic hangs on the lowest rail that carries it at the least that comes in.
  const [forLogic] = rails
    .filter(
      ({ volts, node, dir }) =>
        volts > 3.6 && node !== 'VB' && (dir === 'takes' || volts * fullOutputFactor <= (source?.leastV ?? 0)),
    )
    .sort((a, b) => a.volts - b.volts);
  const logic =
    rails.find(({ volts }) => volts === 3.3)?.node ?? (rails.some(({ volts }) => volts > 3.6) ? 'LOGIC' : null);
  return [
    ...(source
      ? given
          .filter(({ node }) => node !== logic)
          .map(({ node, volts }) =>
            regulator(`REG-${node}`, { input: source.node, output: node }, volts, volts > 6 ? 4700 : 1300),
          )
      : []),
    ...(source && logic
      ? [
          {
            ...regulator(
              'REG-LOGIC',
              {
                input: (forLogic ?? source).node,
                output: logic,
              },
              3.3,
              1200,
            ),
            kindOf: 'linear' as const,
            efficiency: 0.66,
            minInV: Math.min(3.8, (forLogic ?? source).leastV),
          },
        ]
      : []),
    ...rails.map(({ node, volts }): Element => ({
      id: `C-${node}`,
      fails: [...fails],
      is: 'capacitor',
      plus: node,
      minus: 'GND',
      farads: node === 'VB' ? 2e-5 : 3e-5,
      esrOhms: 0.01,
      leakOhms: 300000,
      ratedV: Math.ceil(volts * 1.6),
      keepsAtRated: 0.6,
      polarised: false,
    })),
    ...(logic ? [load('PROCESSOR', logic, 2600)] : []),
    ...(battery ? [load('FRONT-END', 'VB', 30000)] : []),
    ...firstOfNode(terminals.filter(({ roles }) => roles.some((role) => role.is === 'port'))).flatMap(
      ({ node, roles }) =>
        clamps(
          node,
          logic,
          roles.some((role) => role.is === 'port' && role.port.startsWith('MOT')),
        ),
    ),
    ...unknown.map((node): Element => ({
      id: `UNKNOWN-${node}`,
      fails: ['open'],
      is: 'switch',
      a: node,
      b: 'GND',
      onOhms: 1,
      closedWhen: 'unknown',
    })),
  ];
}

interface DraftRail {
  node: string;
  dir: 'gives' | 'takes';
  volts: number;
  /** The least that it may stand at. */
  leastV: number;
}

function railsOf(terminals: readonly Terminal[]): DraftRail[] {
  const found = terminals.flatMap(({ node, roles }) =>
    roles.flatMap((role) =>
      role.is === 'supply'
        ? [
            {
              node,
              dir: role.dir,
              leastV: role.volts[0],
              volts: role.dir === 'gives' ? (role.volts[0] + role.volts[1]) / 2 : role.volts[1],
            },
          ]
        : [],
    ),
  );
  return found
    .filter(({ node }, index) => found.findIndex((rail) => rail.node === node) === index)
    .map((rail) => ({ ...rail, volts: Math.round(rail.volts * 10) / 10 }));
}

function regulator(
  id: string,
  { input, output }: { input: string; output: string },
  outV: number,
  offOhms: number,
): Extract<Element, { is: 'regulator' }> {
  return {
    id,
    fails: [...fails],
    is: 'regulator',
    kindOf: 'step-down',
    input,
    output,
    ground: 'GND',
    enable: 'always',
    outV,
    minInV: outV * fullOutputFactor,
    limitA: 1.5,
    stillAirA: 1,
    efficiency: 0.85,
    idleA: 0.005,
    offOhms,
    backDiodeV: 0.55,
  };
}

function load(id: string, plus: string, offOhms: number): Element {
  return {
    id,
    fails: [...fails],
    is: 'load',
    plus,
    minus: 'GND',
    offOhms,
    idleA: 0.05,
    typicalA: 0.12,
    peakA: 0.2,
    constant: 'current',
    wakesAtV: 2.7,
    liveOnUsb: plus !== 'VB',
  };
}

function clamps(node: string, logic: string | null, power: boolean): Element[] {
  const diode = (id: string, anode: string, cathode: string): Element => ({
    id,
    fails: [...fails],
    is: 'diode',
    anode,
    cathode,
    forwardV: 0.56,
    atA: 0.001,
    seriesOhms: power ? 0.05 : 8,
  });
  return [
    diode(`CLAMP-${node}`, 'GND', node),
    ...(logic && !power ? [diode(`CLAMP+${node}`, node, logic)] : []),
    { id: `LEAK-${node}`, fails: ['open'], is: 'resistor', a: node, b: 'GND', ohms: power ? 22000 : 47000 },
  ];
}
