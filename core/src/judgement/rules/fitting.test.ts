/** Rules of parts that must be there and must suit, and of supplies by when they are there. */
import { describe, expect, it } from 'vitest';
import type { Element, PartModel, Port } from '../../facts/catalogue/partModel';
import { gives, ground, model, port, takes, terminal, wire } from '../../testing/fixtures';
import { board, capacitor, fed, found, load, own, power, regulator, signal } from '../../testing/ruleParts';

const plain = board([], []);

describe('aerial kind', () => {
  const radio = (bandMHz: [number, number], polarisation?: 'linear' | 'left' | 'right') => ({
    radio: { bandMHz, ...(polarisation ? { polarisation } : {}) },
  });
  const at = (sends: Partial<Port>, takesIn: Partial<Port>) => {
    const sender = model('vtx', 'video unit', [...own, signal('ANT', 'A', 'out')], {
      ports: [port('A', 'aerial', { way: 'gives', ...sends })],
    });
    const rod = model('rod', 'antenna', [signal('ANT', 'A', 'in')], {
      ports: [port('A', 'aerial', { way: 'takes', ...takesIn })],
    });
    return found({ FC: plain, X: sender, ANT: rod }, [...power, ...fed, wire('A', 'X.ANT', 'ANT.ANT')]);
  };
  it('stops for another band or another wave', () => {
    expect(at(radio([5650, 5925]), radio([5600, 6000]))).toEqual([]);
    expect(at(radio([5650, 5925]), radio([2400, 2500]))).toEqual(['stop aerial kind']);
    expect(at(radio([5650, 5925]), radio([5700, 6000]))).toEqual(['stop aerial kind']);
    expect(at(radio([5650, 5925], 'left'), radio([5600, 6000], 'right'))).toEqual(['stop aerial kind']);
  });
  it('says nothing of what no sheet says', () => {
    expect(at({}, radio([2400, 2500]))).toEqual([]);
    expect(at(radio([5650, 5925], 'left'), radio([5600, 6000]))).toEqual([]);
  });
});

describe('capacitor missing', () => {
  const wanting = { ...plain, wantsCapacitor: { farads: 470e-6 } };
  const legs = [wire('P', 'X.P', 'FC.VB'), wire('N', 'X.N', 'FC.G')];
  const at = (parts: Record<string, PartModel>, wires = legs) =>
    found(parts, [...power, ...wires]).filter((one) => one !== 'warn capacitor legs');
  it('stops where there is none, and warns where there is less', () => {
    expect(at({ FC: wanting, X: capacitor(470e-6) })).toEqual([]);
    expect(at({ FC: wanting }, [])).toEqual(['stop capacitor missing']);
    expect(at({ FC: wanting, X: capacitor(100e-6) })).toEqual(['warn capacitor missing']);
  });
  it('leaves one that is wired wrongly to the rule of its place', () => {
    expect(at({ FC: wanting, X: capacitor(470e-6) }, [legs[0]!])).toEqual(['warn capacitor place']);
    expect(at({ FC: plain }, [])).toEqual([]);
  });
});

it('plug forced: another pitch, another family, two plugs', () => {
  const socket = (id: string, over: Partial<PartModel['connectors'][number]>) =>
    model(id, 'adapter', [signal('A', 'S', 'in'), signal('B', 'S', 'in')], {
      ports: [port('S', 'sense')],
      connectors: [
        { id: 'J', family: 'coax', pitchMm: 1, pins: ['A', 'B'], key: 'socket', exitDeg: 0, ampsPerPin: 1, ...over },
      ],
    });
  const at = (over: Partial<PartModel['connectors'][number]>) =>
    found({ X: socket('x', {}), Y: socket('y', { key: 'plug', ...over }) }, [], {
      mates: {
        M: {
          a: { slot: 'X', connector: 'J' },
          b: { slot: 'Y', connector: 'J' },
          shift: 0,
          mirrored: false,
          glued: false,
        },
      },
    }).filter((one) => one.includes('plug forced'));
  expect(at({})).toEqual([]);
  expect(at({ pitchMm: 1.25 })).toEqual(['stop plug forced']);
  expect(at({ family: 'coax screw' })).toEqual(['stop plug forced']);
  expect(at({ key: 'socket' })).toEqual(['stop plug forced']);
});

it('regulator heat: what a linear one burns from the full pack, against what its package bears', () => {
  const at = (packageW: number | undefined, kindOf: 'linear' | 'step-down' = 'linear') => {
    const hot = regulator(5, { kindOf, limitA: 2, stillAirA: 2, ...(packageW ? { packageW } : {}) });
    const light = model('x', 'lights', own, { elements: [load('V', 0.1, 0.2)] });
    const fc = { ...plain, elements: [hot] };
    return found({ FC: fc, X: light }, [...power, ...fed]).filter((one) => one.includes('heat'));
  };
  // 25.2 V less 5 V at 0.1 A and 0.2 A: 2.0 and 4.0 W.
  expect([at(5), at(3), at(1.5)]).toEqual([[], ['warn regulator heat'], ['stop regulator heat']]);
  expect([at(undefined), at(0.1, 'step-down')]).toEqual([[], []]);
});

it('driven while off: a data pin of a part whose rail the software switches', () => {
  const at = (enable: Extract<Element, { is: 'regulator' }>['enable'], offV: number) => {
    const fc = {
      ...board([signal('T', 'U', 'tx', { drivesV: 3.3 })], [port('U', 'serial', { way: 'both' })]),
      elements: [regulator(5, { enable })],
    };
    const unit = model('x', 'video unit', [...own, signal('R', 'C', 'rx', { withstandOffV: [-0.3, offV] })], {
      ports: [port('C', 'serial', { way: 'takes' })],
      elements: [load('V', 0.1)],
    });
    return found({ FC: fc, X: unit }, [...power, ...fed, wire('D', 'FC.T', 'X.R')]).filter((one) =>
      one.includes('off'),
    );
  };
  expect(at('software', 0.5)).toEqual(['warn driven while off']);
  expect([at('software', 5), at('always', 0.5)]).toEqual([[], []]);
});

it('ground through a plug: a warning, and a stop where that plug is pulled in service', () => {
  const at = (pulledInService?: true) => {
    const pins = ['JV', 'JG'];
    const connector = { id: 'J', family: 'f', pitchMm: 1, pins, key: 'latch', exitDeg: 0, ampsPerPin: 2 };
    const fc = {
      ...board([terminal('JV', [gives(4.75, 5.25)], { node: 'O5' }), terminal('JG', [ground], { node: 'G' })], []),
      connectors: [{ ...connector, ...(pulledInService ? { pulledInService } : {}) }],
    };
    const middle = model(
      'y',
      'lights',
      [terminal('JV', [takes(4.5, 5.5)]), terminal('JG', [ground], { node: 'G' }), terminal('G', [ground])],
      { connectors: [connector] },
    );
    const last = model('x', 'lights', own, { elements: [load('V', 0.1)] });
    const mate = { a: { slot: 'FC', connector: 'J' }, b: { slot: 'Y', connector: 'J' } };
    const wires = [...power, wire('V', 'X.V', 'FC.O5'), wire('XG', 'X.G', 'Y.G')];
    return found({ FC: fc, Y: middle, X: last }, wires, {
      mates: { M: { ...mate, shift: 0, mirrored: false, glued: false } },
    }).filter((one) => one.includes('through a plug'));
  };
  expect([at(), at(true)]).toEqual([['warn ground through a plug'], ['stop ground through a plug']]);
});
