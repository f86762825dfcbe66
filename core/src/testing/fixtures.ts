/** Small hand-made parts and builds for worked cases. */
import type { Build, Fitted, Wire } from '../facts/assembly/build';
import { emptyBuild } from '../facts/assembly/build';
import type { Catalogue } from '../facts/catalogue/catalogue';
import { makeCatalogue } from '../facts/catalogue/catalogue';
import type { Element, PartKind, PartModel, Port, Role, Terminal } from '../facts/catalogue/partModel';
import type { TerminalRef } from '../facts/terms/names';
import type { Note, QuadRecord } from '../facts/log/records';
import type { Act } from '../facts/assembly/act';
import type { Meter } from '../facts/terms/meter';

export function terminal(id: string, roles: readonly Role[], over: Partial<Terminal> = {}): Terminal {
  return {
    id,
    printed: id,
    node: id,
    form: 'pad',
    sides: ['top'],
    atMm: [0, 0],
    sizeMm: [1, 1],
    copper: 'trace',
    holds: 1,
    thickestAwg: 10,
    withstandV: [-0.3, 60],
    withstandOffV: [-0.3, 60],
    touch: 'easy',
    contact: 'bare',
    roles,
    ...over,
  };
}

export const ground: Role = { is: 'ground' };
export const takes = (low: number, high: number): Role => ({ is: 'supply', dir: 'takes', volts: [low, high] });
export const gives = (low: number, high: number): Role => ({ is: 'supply', dir: 'gives', volts: [low, high] });
export const pin = (port: string, pinName: 'tx' | 'rx' | 'a' | 'b' | 'c'): Role => ({ is: 'port', port, pin: pinName });

export function port(id: string, kind: Port['kind'], over: Partial<Port> = {}): Port {
  return {
    id,
    kind,
    way: 'both',
    levelV: 3.3,
    speaks: [],
    inversion: 'plain',
    halfDuplex: false,
    excludes: [],
    needs: [],
    ...over,
  };
}

export function model(
  id: string,
  kind: PartKind,
  terminals: readonly Terminal[],
  over: Partial<PartModel> = {},
): PartModel {
  return {
    id,
    revision: 1,
    kind,
    name: id,
    maker: 'Testwright',
    massG: 1,
    body: {
      outlineMm: [
        [-9, -9],
        [9, -9],
        [9, 9],
        [-9, 9],
      ],
      aboveMm: 1,
      belowMm: 1,
      holes: [],
      openings: [],
      arrowDeg: null,
    },
    terminals,
    connectors: [],
    tails: [],
    elements: [],
    ports: [],
    signs: [],
    covers: [],
    knownFrom: { '': 'assumed' },
    ...over,
  };
}

export const fitted = (id: string): Fitted => ({ model: id, revision: 1, part: null, pose: null });

export function wire(id: string, a: TerminalRef | null, b: TerminalRef | null, over: Partial<Wire> = {}): Wire {
  const end = (ref: TerminalRef | null): Wire['ends'][number] =>
    ref ? { at: { on: 'terminal', ref }, by: 'solder' } : { at: { on: 'air', end: 'bare' }, by: 'none' };
  return {
    id,
    awg: 28,
    colour: 'white',
    insulation: 'silicone',
    from: 'stock',
    lengthMm: 50,
    via: [],
    ends: [end(a), end(b)],
    ...over,
  };
}

export function buildOf(slots: Readonly<Record<string, string>>, wires: readonly Wire[]): Build {
  return {
    ...emptyBuild,
    slots: Object.fromEntries(Object.entries(slots).map(([slot, id]) => [slot, fitted(id)])),
    wires: Object.fromEntries(wires.map((given) => [given.id, given])),
  };
}

/** A battery lead, a board with a regulator, two ports and their pads, and a serial part; nothing wired yet. */
export function benchParts(boardElements: readonly Element[] = []): Catalogue {
  return makeCatalogue([
    model('lead', 'battery lead', [terminal('P', [gives(0, 60)]), terminal('N', [ground])]),
    model(
      'board',
      'controller',
      [
        terminal('VB', [takes(10, 26)]),
        terminal('G', [ground], { holds: 3 }),
        terminal('G2', [ground], { node: 'G' }),
        terminal('5V', [gives(4.75, 5.25)], { withstandV: [-0.3, 5.5] }),
        terminal('T1', [pin('U1', 'tx')], { withstandV: [-0.3, 5.5] }),
        terminal('R1', [pin('U1', 'rx')], { withstandV: [-0.3, 5.5] }),
        terminal('T2', [pin('U2', 'tx')], { withstandV: [-0.3, 5.5] }),
        terminal('R2', [pin('U2', 'rx')], { withstandV: [-0.3, 5.5] }),
      ],
      {
        ports: [port('U1', 'serial'), port('U2', 'serial')],
        elements: [
          {
            id: 'REG',
            fails: [],
            is: 'regulator',
            kindOf: 'step-down',
            input: 'VB',
            output: '5V',
            ground: 'G',
            enable: 'always',
            outV: 5,
            minInV: 7,
            limitA: 2,
            stillAirA: 1,
            efficiency: 0.9,
            idleA: 0.01,
            offOhms: 1000,
            backDiodeV: 0.6,
          },
          ...boardElements,
        ],
      },
    ),
    model(
      'radio',
      'receiver',
      [
        terminal('V', [takes(4.5, 5.5)], { withstandV: [-0.3, 6] }),
        terminal('G', [ground]),
        terminal('T', [pin('L', 'tx')], { withstandV: [-0.3, 3.6] }),
        terminal('R', [pin('L', 'rx')], { withstandV: [-0.3, 3.6] }),
      ],
      { ports: [port('L', 'serial')] },
    ),
  ]);
}

/** Everything of `benchParts` wired as it should be. */
export function goodWires(): Wire[] {
  return [
    wire('WP', 'BAT.P', 'FC.VB'),
    wire('WN', 'BAT.N', 'FC.G'),
    wire('V', 'RX.V', 'FC.5V'),
    wire('G', 'RX.G', 'FC.G'),
    wire('T', 'RX.T', 'FC.R1'),
    wire('R', 'RX.R', 'FC.T1'),
  ];
}

export const benchSlots = { BAT: 'lead', FC: 'board', RX: 'radio' };

export const meter: Meter = {
  id: 'meter',
  name: 'meter',
  limitV: 1.5,
  limitA: 0.001,
  seriesOhms: 1500,
  beepBelowOhms: 30,
  stopsAboveOhms: 30,
  answerMs: 20,
  shortestToneMs: 40,
  beepsOnReverse: true,
  toneHz: null,
  spread: 0.2,
};

/** A log from bodies, a second apart. */
export function logOf(...bodies: readonly (Act | Note | { replaces: string; body: Act | Note })[]): QuadRecord[] {
  return bodies.map((given, index): QuadRecord => {
    const correction = 'replaces' in given ? given : null;
    const at = new Date(Date.UTC(2026, 0, 1) + index * 1000).toISOString();
    return {
      id: `r${index + 1}`,
      quadId: 'q',
      seq: index + 1,
      jobId: 'j',
      step: null,
      personId: 'p',
      deviceId: 'd',
      shownAt: null,
      doneAt: at,
      arrivedAt: at,
      basisSeq: index,
      planVersion: 1,
      how: 'did',
      body: correction ? correction.body : (given as Act | Note),
      ...(correction ? { replaces: correction.replaces } : {}),
    };
  });
}
