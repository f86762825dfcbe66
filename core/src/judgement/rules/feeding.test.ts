/** Rules of grounds, supplies and what holds them, each on a worked case of its own. */
import { describe, expect, it } from 'vitest';
import type { Wire } from '../../facts/assembly/build';
import type { Element, Port } from '../../facts/catalogue/partModel';
import { gives, ground, model, port, takes, terminal, wire } from '../../testing/fixtures';
import { board, capacitor, fed, found, load, own, power, regulator, signal } from '../../testing/ruleParts';

const plain = board([], []);
const radio = model('radio', 'receiver', own);

describe('touching', () => {
  const touch = (a: string, b: string, ohms = 0.3) =>
    found({ FC: plain, X: radio }, [...power, ...fed], { contacts: [{ a, b, ohms, why: 'measured' } as never] });

  it('is wiring: a ball between plus and minus kills, one between supply and pad as well', () => {
    expect(touch('FC.VB', 'FC.G')).toContain('kill polarity');
    expect(touch('FC.VB', 'X.V')).toContain('kill battery on logic');
    expect(touch('FC.VB', 'FC.G')).toContain('kill touching');
    expect(touch('FC.VB', 'X.V')).toContain('stop touching');
  });

  it('is named where it joins little, and is nothing on one net', () => {
    expect(touch('FC.O5', 'FC.G', 60)).toEqual(['stop touching']);
    expect(touch('X.G', 'FC.G')).toEqual([]);
  });
});

describe('power ground', () => {
  const esc = model(
    'esc',
    'esc',
    [
      terminal('P', [takes(10, 26)], { thickestAwg: 14 }),
      terminal('N', [ground], { node: 'G', thickestAwg: 14 }),
      terminal('SG', [ground], { node: 'G', thickestAwg: 26 }),
      signal('A', 'M', 'out'),
    ],
    { ports: [port('M', 'motorPhase', { way: 'gives' })], elements: [load('P', 0.1)] },
  );
  const plus = wire('EP', 'X.P', 'FC.VB', { awg: 14 });
  const thick = wire('EN', 'X.N', 'FC.G', { awg: 14 });
  const thin = wire('ES', 'X.SG', 'FC.G', { awg: 28 });

  it('kills where only a signal lead is left of it', () => {
    expect(found({ FC: plain, X: esc }, [...power, plus, thick, thin])).toEqual([]);
    expect(found({ FC: plain, X: esc }, [...power, plus, thin])).toContain('kill power ground');
    expect(found({ FC: plain, X: esc }, [...power, plus])).toContain('kill ground missing');
  });
});

it('not switched on: an enable pad that nobody wired, a rail that waits for software', () => {
  const switched = (enable: Extract<Element, { is: 'regulator' }>['enable']) =>
    model(
      'board',
      'controller',
      [
        terminal('VB', [takes(10, 26)], { holds: 3 }),
        terminal('G', [ground], { holds: 9 }),
        terminal('O5', [gives(4.75, 5.25)], { withstandV: [-0.3, 5.5], holds: 4 }),
        terminal('EN', [], { withstandV: [-0.3, 30] }),
      ],
      { elements: [regulator(5, { enable })] },
    );
  const light = (kind: 'receiver' | 'lights') => model('x', kind, own, { elements: [load('V', 0.1)] });
  const at = (enable: 'always' | 'software' | 'EN', kind: 'receiver' | 'lights', more: readonly Wire[] = []) =>
    found({ FC: switched(enable), X: light(kind) }, [...power, ...fed, ...more]).filter((one) =>
      one.includes('switched'),
    );
  expect(at('always', 'lights')).toEqual([]);
  expect(at('EN', 'lights')).toEqual(['stop not switched on']);
  expect(at('EN', 'lights', [wire('E', 'FC.EN', 'FC.VB')])).toEqual([]);
  expect([at('software', 'lights'), at('software', 'receiver')]).toEqual([[], ['stop not switched on']]);
});

it('capacitor place: behind a regulator, or with one leg open; neither kills', () => {
  const cap = capacitor(1e-3);
  const at = (...wires: readonly Wire[]) =>
    found({ FC: plain, X: cap }, [...power, ...wires]).filter((one) => one !== 'warn capacitor legs');
  const minus = wire('N', 'X.N', 'FC.G');
  expect(at(wire('P', 'X.P', 'FC.VB'), minus)).toEqual([]);
  expect(at(wire('P', 'X.P', 'FC.O5'), minus)).toEqual(['warn capacitor place']);
  expect(at(wire('P', 'X.P', 'FC.VB'))).toEqual(['warn capacitor place']);
});

it('aerial missing: a transmitter whose socket is empty', () => {
  const aerial = (way: Port['way'], pin: 'in' | 'out') => ({
    terminals: [signal('ANT', 'A', pin)],
    ports: [port('A', 'aerial', { way })],
  });
  const sender = aerial('gives', 'out');
  const vtx = model('vtx', 'video unit', [...own, ...sender.terminals], { ports: sender.ports });
  const rod = model('rod', 'antenna', aerial('takes', 'in').terminals, { ports: aerial('takes', 'in').ports });
  expect(found({ FC: plain, X: vtx }, [...power, ...fed])).toEqual(['stop aerial missing']);
  expect(found({ FC: plain, X: vtx, ANT: rod }, [...power, ...fed, wire('A', 'X.ANT', 'ANT.ANT')])).toEqual([]);
});

it('a supply through a diode is a supply, and fights no other', () => {
  const passing = model(
    'adapter',
    'adapter',
    [
      terminal('IN', [takes(4.5, 6)], { withstandV: [-0.3, 6] }),
      terminal('OUT', [{ is: 'supply', dir: 'gives', volts: [4.4, 5] }], { withstandV: [-0.3, 6] }),
      terminal('G', [ground]),
    ],
    {
      elements: [
        { id: 'D', fails: [], is: 'diode', anode: 'IN', cathode: 'OUT', forwardV: 0.3, atA: 0.1, seriesOhms: 0.1 },
      ],
    },
  );
  const low = model('low', 'receiver', [
    terminal('V', [takes(4, 5.5)], { withstandV: [-0.3, 6] }),
    terminal('G', [ground]),
  ]);
  const through = [wire('I', 'AD.IN', 'FC.O5'), wire('AG', 'AD.G', 'FC.G')];
  const behind = [wire('V', 'X.V', 'AD.OUT'), wire('XG', 'X.G', 'FC.G')];
  expect(found({ FC: plain, AD: passing, X: low }, [...power, ...through, ...behind])).toEqual([]);
});

it('telemetry of several ESCs shares one input; two other outputs do not', () => {
  const fc = (kind: Port['kind']) => board([signal('R', 'IN', 'rx')], [port('IN', kind, { way: 'takes' })]);
  const teller = (kind: Port['kind']) =>
    model('teller', 'esc', [...own, signal('T', 'OUT', 'tx')], { ports: [port('OUT', kind, { way: 'gives' })] });
  const wires = [
    ...power,
    ...fed,
    wire('V2', 'Y.V', 'FC.O5'),
    wire('G2', 'Y.G', 'FC.G'),
    wire('T1', 'X.T', 'FC.R'),
    wire('T2', 'Y.T', 'FC.R'),
  ];
  const at = (kind: Port['kind']) =>
    found({ FC: fc(kind), X: teller(kind), Y: teller(kind) }, wires).filter((one) => one.includes('two drivers'));
  expect([at('escData'), at('serial')]).toEqual([[], ['stop two drivers']]);
});
