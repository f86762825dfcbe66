import { describe, expect, it } from 'vitest';
import { checkModel, insideOutline } from './checkModel';
import type { Element, PartModel, Terminal } from './partModel';
import { certaintyAt, compareModels, revisionMistakes } from './revisions';

const pad = (id: string, x: number, over: Partial<Terminal> = {}): Terminal => ({
  id,
  printed: id,
  node: id,
  form: 'pad',
  sides: ['top'],
  atMm: [x, 0],
  sizeMm: [1, 1],
  copper: 'trace',
  holds: 1,
  thickestAwg: 26,
  withstandV: [-0.3, 6],
  withstandOffV: [-0.3, 6],
  touch: 'fine',
  contact: 'bare',
  roles: [],
  ...over,
});
const fed = pad('V', -4, { roles: [{ is: 'supply', dir: 'takes', volts: [4.5, 5.5] }] });
const ground = pad('G', -2, { roles: [{ is: 'ground' }] });
const load: Element = {
  id: 'L',
  fails: [],
  is: 'load',
  plus: 'V',
  minus: 'G',
  offOhms: 2000,
  idleA: 0.1,
  typicalA: 0.1,
  peakA: 0.2,
  constant: 'current',
  wakesAtV: 3,
  liveOnUsb: false,
};
const model = (over: Partial<PartModel> = {}): PartModel => ({
  id: 'test',
  revision: 1,
  kind: 'receiver',
  name: 'Test',
  maker: 'Works',
  massG: 2,
  body: {
    outlineMm: [
      [-6, -4],
      [6, -4],
      [6, 4],
      [-6, 4],
    ],
    aboveMm: 1,
    belowMm: 1,
    holes: [],
    openings: [],
    arrowDeg: null,
  },
  terminals: [fed, ground],
  connectors: [],
  tails: [],
  elements: [load],
  ports: [],
  signs: [],
  covers: [],
  knownFrom: { '': 'typical' },
  ...over,
});
const codes = (over: Partial<PartModel>) => checkModel(model(over)).map(({ path, code }) => `${path} ${code.slice(6)}`);

it('finds nothing on a part that can be', () => {
  expect(checkModel(model())).toEqual([]);
});

describe('places', () => {
  it.each([
    ['two pads on one place', { terminals: [fed, ground, pad('X', -2.4)] }, 'terminals.2.atMm overlap'],
    ['a pad off the board', { terminals: [fed, ground, pad('X', 9)] }, 'terminals.2.atMm outside'],
    [
      'a pad in a hole',
      { body: { ...model().body, holes: [{ atMm: [-4, 0.8] as const, drillMm: 2 }] } },
      'terminals.0.atMm hole',
    ],
    [
      'a pin off its pitch',
      {
        terminals: [fed, ground, pad('1', 1, { form: 'pin' }), pad('2', 2.5, { form: 'pin' })],
        connectors: [{ id: 'J', family: 'f', pitchMm: 1.25, pins: ['1', '2'], key: 'k', exitDeg: 0, ampsPerPin: 1 }],
      },
      'connectors.0.pins.0 pitch',
    ],
    ['a name twice', { terminals: [fed, ground, pad('G', 3)] }, 'terminals.2.id twice'],
  ])('%s is found', (_what, over, wanted) => {
    expect(codes(over as Partial<PartModel>)).toContain(wanted);
  });

  it('pads on opposite sides may lie over each other', () => {
    expect(codes({ terminals: [fed, ground, pad('X', -2, { sides: ['bottom'], node: 'G' })] })).toEqual([]);
  });

  it('a castellation may stand on the rim, in any outline', () => {
    const notched = [
      [0, 0],
      [10, 0],
      [10, 10],
      [5, 4],
      [0, 10],
    ] as const;
    expect(insideOutline([10, 5], notched)).toBe(true);
    expect(insideOutline([5, 3.9], notched)).toBe(true);
    expect(insideOutline([5, 6], notched)).toBe(false);
  });
});

describe('insides', () => {
  const regulator = (over: Partial<Extract<Element, { is: 'regulator' }>>): Element => ({
    id: 'R',
    fails: [],
    is: 'regulator',
    kindOf: 'linear',
    input: 'V',
    output: 'V33',
    ground: 'G',
    enable: 'always',
    outV: 3.3,
    minInV: 3.8,
    limitA: 0.5,
    stillAirA: 0.3,
    efficiency: 0.6,
    idleA: 0.001,
    offOhms: 2000,
    backDiodeV: 0.6,
    ...over,
  });
  const onLogic = { ...load, id: 'CPU', plus: 'V33' };
  it.each([
    [
      'an element on a node that is not there',
      [load, { id: 'X', fails: [], is: 'resistor', a: 'V', b: 'NO', ohms: 5 }],
      'elements.1 node',
    ],
    ['a load on a rail from nowhere', [load, onLogic, { ...onLogic, id: 'CPU2' }], 'elements.1.plus source'],
    [
      'a capacitor below its rail',
      [
        load,
        {
          id: 'C',
          fails: [],
          is: 'capacitor',
          plus: 'V',
          minus: 'G',
          farads: 1e-6,
          esrOhms: 0.1,
          leakOhms: 1e6,
          ratedV: 5,
          keepsAtRated: 1,
          polarised: false,
        },
      ],
      'elements.1.ratedV rating',
    ],
    [
      'a loop of regulators',
      [
        load,
        onLogic,
        regulator({}),
        regulator({ id: 'B', kindOf: 'step-up', input: 'V33', output: 'V', outV: 5, minInV: 3 }),
      ],
      'elements.2 regulator loop',
    ],
    ['a short', [{ ...load, offOhms: 4 }], 'elements short'],
    ['more without air than with it', [load, onLogic, regulator({ stillAirA: 2 })], 'elements.2.stillAirA regulator'],
  ])('%s is found', (_what, elements, wanted) => {
    expect(codes({ elements: elements as Element[] })).toContain(wanted);
  });

  it('a rail that is fed through regulators in a row is no rail from nowhere', () => {
    expect(codes({ elements: [load, onLogic, regulator({})] })).toEqual([]);
  });

  it('a supply without a ground is found', () => {
    expect(codes({ terminals: [fed], elements: [] })).toContain('terminals.0 ground');
  });
});

it('says of a frame that no motor is anywhere near where one can be: another unit was meant', () => {
  const frame = {
    corners: [{ index: 1, atMm: [0.12, 0.12], level: 'upper', discMm: 204 }],
    bays: [],
    posts: [],
    route: { points: {}, edges: [] },
    conducts: true,
  } as const;
  expect(codes({ kind: 'frame', frame })).toContain('frame.corners unit');
  const whole = { ...frame, corners: [{ ...frame.corners[0], atMm: [120, 120] }] } as const;
  expect(codes({ kind: 'frame', frame: whole })).not.toContain('frame.corners unit');
});

it('says of a cable what it lacks, and of a length in another unit', () => {
  const end = { id: 'A', family: 'camera coax', pitchMm: 4, pins: ['V'], key: 'flap', exitDeg: 0, ampsPerPin: 1 };
  const cable = { lengthMm: 120, acrossMm: 1.4, leastBendMm: 7, connectors: ['A'] };
  expect(codes({ kind: 'cable' })).toContain('cable none');
  expect(codes({ kind: 'cable', connectors: [end], cable })).not.toContain('cable none');
  expect(codes({ cable })).toContain('cable.connectors.0 unknown');
  expect(codes({ connectors: [end], cable: { ...cable, lengthMm: 12 } })).toContain('cable.leastBendMm unit');
});

describe('revisions', () => {
  it('follow each other, add terminals and drop none', () => {
    expect(revisionMistakes(null, model({ revision: 2 }))).toHaveLength(1);
    expect(revisionMistakes(model(), model({ revision: 2, terminals: [fed, ground, pad('X', 2)] }))).toEqual([]);
    expect(revisionMistakes(model(), model({ revision: 2, terminals: [fed] })).map(({ code }) => code)).toEqual([
      'model.dropped',
    ]);
  });

  it('say what they change', () => {
    const next = model({
      revision: 2,
      massG: 3,
      terminals: [{ ...fed, printed: '5V' }, ground, pad('X', 2)],
      knownFrom: { '': 'typical', '/massG': 'measured' },
    });
    expect(compareModels(model(), next).map(({ what, after }) => `${what}: ${after}`)).toEqual([
      'mass, g: 3',
      'terminal V, printed: 5V',
      'terminal X: added',
      'how sure: massG: measured',
    ]);
    expect([certaintyAt(next, '/massG'), certaintyAt(next, '/elements/0/offOhms')]).toEqual(['measured', 'typical']);
  });
});
