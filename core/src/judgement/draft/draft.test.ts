import { describe, expect, it } from 'vitest';
import { checkModel } from '../../facts/catalogue/checkModel';
import { looseReadings } from '../checks/looseReadings';
import { referenceMeter } from '../checks/referenceMeter';
import { meaning } from '../labels/meaning';
import type { BoardDraft, PadRow } from './boardDraft';
import { draftPads, photoScale, splitLabels } from './boardDraft';
import { draftModel } from './draftModel';
import { applySignature, firstMeasures } from './signature';
import type { Meter } from '../../facts/terms/meter';

const meter: Meter = { ...referenceMeter, spread: 0.1 };
const row = (labels: string, over: Partial<PadRow> = {}): PadRow => ({
  edge: 'bottom',
  side: 'top',
  pitchMm: 2.3,
  firstMm: null,
  padMm: [1.2, 1.9],
  connector: null,
  labels: splitLabels(labels),
  ...over,
});
const draft = (rows: readonly PadRow[], over: Partial<BoardDraft> = {}): BoardDraft => ({
  name: 'Test 36',
  maker: 'Works',
  kind: 'controller',
  massG: 8,
  widthMm: 36,
  heightMm: 36,
  thickMm: 3,
  holesMm: { patternMm: 30.5, drillMm: 4 },
  batteryV: [10, 26.1],
  rows,
  placed: [],
  answers: {},
  ...over,
});
const full = draft([
  row('T1 R1 5V G T2 R2 5V G VBAT'),
  row('S1 S2 S3 S4 CUR TLM', { edge: 'top' }),
  row('9V G SDA SCL', { edge: 'left' }),
  row('VBAT G S1', { edge: 'right', connector: 'J1', pitchMm: 1.25, padMm: [0.7, 1.4] }),
]);

describe('pads', () => {
  it('stand centred along their edge, in order, from left and from the top', () => {
    expect(draftPads(draft([row('A B C')])).map(({ atMm }) => atMm)).toEqual([
      [-2.3, -16.65],
      [0, -16.65],
      [2.3, -16.65],
    ]);
    expect(draftPads(draft([row('A B', { edge: 'left', firstMm: -5 })])).map(({ atMm }) => atMm)).toEqual([
      [-16.65, 5],
      [-16.65, 2.7],
    ]);
  });

  it('of the underside are entered as seen from below', () => {
    const [first, last] = draftPads(draft([row('A B C', { side: 'bottom' })])).filter(({ printed }) => printed !== 'B');
    expect([first!.atMm[0], last!.atMm[0]]).toEqual([2.3, -2.3]);
  });

  it('on a photograph follow from two known points, whatever the picture’s turn and scale', () => {
    for (const turn of [0, 30, 90, 217]) {
      const rad = (turn * Math.PI) / 180;
      const picture = ([x, y]: readonly [number, number]) =>
        [
          400 + 12 * (x * Math.cos(rad) - y * Math.sin(rad)),
          300 - 12 * (x * Math.sin(rad) + y * Math.cos(rad)),
        ] as const;
      const toMm = photoScale(picture([-15.25, 15.25]), picture([15.25, 15.25]), {
        distanceMm: 30.5,
        firstMm: [-15.25, 15.25],
        turnDeg: 0,
      });
      const [x, y] = toMm(picture([3.2, -7.4]));
      expect([x, y].map((mm) => Math.round(mm * 1000) / 1000)).toEqual([3.2, -7.4]);
    }
    expect(() => photoScale([1, 1], [1, 1], { distanceMm: 30, firstMm: [0, 0], turnDeg: 0 })).toThrow(RangeError);
  });
});

describe('a drafted model', () => {
  it('is one that can be stored: places, nodes, rails, ports, insides', () => {
    const { model, pads } = draftModel(full);
    expect(checkModel(model)).toEqual([]);
    expect(pads.every(({ open }) => !open)).toBe(true);
    expect(model.terminals.filter(({ node }) => node === 'GND')).toHaveLength(4);
    expect(model.ports.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['UART1', 'UART2', 'OUT1', 'OUT4', 'I2C', 'CURRENT', 'ESCDATA']),
    );
    expect(model.connectors).toMatchObject([{ id: 'J1', pins: ['J1.VBAT', 'J1.G', 'J1.S1'] }]);
  });

  it('leaves open what competes, takes what a person says, and promises nothing for what nobody knows', () => {
    const asked = draft([row('S G 5V VBAT X9')]);
    expect(
      draftModel(asked)
        .pads.filter(({ open }) => open)
        .map(({ printed }) => printed),
    ).toEqual(['S', 'X9']);
    const { model, pads } = draftModel({ ...asked, answers: { 0: meaning('motor', 1), 4: null } });
    expect(pads.some(({ open }) => open)).toBe(false);
    expect(model.terminals[0]!.roles).toEqual([{ is: 'port', port: 'OUT1', pin: 'out' }]);
    expect(model.terminals[4]!.roles).toEqual([]);
    expect(model.elements.find(({ id }) => id === 'UNKNOWN-X9')).toMatchObject({ is: 'switch', closedWhen: 'unknown' });
  });
});

describe('a first measurement', () => {
  const { model } = draftModel(full);
  const ohms = (of: typeof model, red: string) => {
    const { band } = looseReadings(of, meter).find(
      (reading) => reading.mode === 'ohms' && reading.red.node === red,
    )!.expected;
    return (band![0] + band![1]) / 2;
  };

  it('asks for each rail and for one pair of each conductor', () => {
    expect(firstMeasures(model).map(({ asks }) => asks)).toEqual(
      expect.arrayContaining(['Ohms from G (black) to 5V (red)', 'Does it sound between 5V and 5V-2?']),
    );
  });

  it('fills in: the model then reads what was measured, and says it was', () => {
    const {
      model: next,
      filled,
      contradicts,
    } = applySignature(model, [{ is: 'ohms', black: 'G', red: '5V', ohms: 740 }], meter);
    expect(contradicts).toEqual([]);
    expect(filled).toHaveLength(1);
    expect(Math.abs(ohms(next, 'V5') - 740)).toBeLessThan(30);
    expect(Object.values(next.knownFrom)).toContain('measured');
  });

  it('contradicts: a shorted rail, a ground that is none, two labels on one conductor', () => {
    const { contradicts } = applySignature(
      model,
      [
        { is: 'ohms', black: 'G', red: '9V', ohms: 2 },
        { is: 'tone', black: 'G', red: 'G-2', sounds: false },
        { is: 'tone', black: 'S1', red: 'S2', sounds: true },
        { is: 'tone', black: '5V', red: '5V-2', sounds: true },
      ],
      meter,
    );
    expect(contradicts).toHaveLength(3);
  });
});
