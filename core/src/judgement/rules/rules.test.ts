/** Each rule on a worked case of its own; what they find together is measured on mutations. */
import { describe, expect, it } from 'vitest';
import type { Build, Wire } from '../../facts/assembly/build';
import { makeCatalogue } from '../../facts/catalogue/catalogue';
import type { Element, Port } from '../../facts/catalogue/partModel';
import type { Link } from '../../facts/plan/plan';
import {
  benchParts,
  benchSlots,
  buildOf,
  gives,
  goodWires,
  ground,
  model,
  port,
  takes,
  terminal,
  wire,
} from '../../testing/fixtures';
import { judge } from './judge';
import { rules, whyRule } from './rules';
import { assemble } from '../../facts/assembly/assembly';
import { lead, regulator, load, signal, board, power, fed, own } from '../../testing/ruleParts';

function found(
  fc: ReturnType<typeof board>,
  other: ReturnType<typeof model>,
  wires: readonly Wire[],
  { links = [], more = {} }: { links?: readonly Link[]; more?: Partial<Build> } = {},
): string[] {
  const catalogue = makeCatalogue([lead, fc, other]);
  const build = { ...buildOf({ BAT: 'lead', FC: 'board', X: other.id }, [...power, ...fed, ...wires]), ...more };
  return judge(assemble(build, catalogue), links, [4, 6]).map(({ severity, rule }) => `${severity} ${rule}`);
}

describe('each rule', () => {
  it('has a name of its own and a reason in words', () => {
    expect(new Set(rules.map(({ name }) => name)).size).toBe(rules.length);
    for (const { name } of rules) expect(whyRule(name).length).toBeGreaterThan(40);
    for (const name of ['motor outputs', 'port not as named', 'boot loader port', 'boot pin'])
      expect(whyRule(name)).not.toBe('');
  });

  it('inversion: a plain sender on an inverted input', () => {
    const radio = model('radio', 'receiver', [...own, signal('T', 'L', 'tx')], { ports: [port('L', 'serial')] });
    const at = (inversion: Port['inversion']) =>
      found(board([signal('R1', 'U', 'rx')], [port('U', 'serial', { inversion })]), radio, [wire('T', 'X.T', 'FC.R1')]);
    expect([at('plain'), at('either'), at('inverted')]).toEqual([[], [], ['stop inversion']]);
  });

  it('direction: video in on video in, buzzer and bus wires exchanged', () => {
    const fc = board(
      [signal('IN', 'CI', 'in'), signal('BM', 'B', 'minus')],
      [port('CI', 'video', { way: 'takes' }), port('B', 'buzzer', { way: 'gives' })],
    );
    const vtx = model('vtx', 'video unit', [...own, signal('VI', 'V', 'in')], {
      ports: [port('V', 'video', { way: 'takes' })],
    });
    expect(found(fc, vtx, [wire('W', 'X.VI', 'FC.IN')])).toEqual(['stop direction']);
  });

  it('half wired, bus pull-ups: a compass with one wire, or with nothing that pulls up', () => {
    const fc = (pull?: 'up') =>
      board(
        [
          signal('D', 'I', 'sda', { ...(pull ? { pull } : {}) }),
          signal('C', 'I', 'scl', { ...(pull ? { pull } : {}) }),
        ],
        [port('I', 'i2c')],
      );
    const gps = model('gps', 'positioning', [...own, signal('D', 'M', 'sda'), signal('C', 'M', 'scl')], {
      ports: [port('M', 'i2c')],
    });
    const both = [wire('D', 'X.D', 'FC.D'), wire('C', 'X.C', 'FC.C')];
    expect(found(fc('up'), gps, both)).toEqual([]);
    expect(found(fc(), gps, both)).toEqual(['stop bus pull-ups', 'stop bus pull-ups']);
    expect(found(fc('up'), gps, both.slice(0, 1))).toContain('stop half wired');
    expect(found(fc('up'), gps, [wire('D', 'X.D', 'FC.C'), wire('C', 'X.C', 'FC.D')])).toContain('stop direction');
  });

  it('supplies joined: a second regulator on a rail, worse when they differ', () => {
    const bec = (outV: number) =>
      model(
        'bec',
        'regulator',
        [
          terminal('VB', [takes(6, 30)]),
          terminal('G', [ground]),
          terminal(`O${outV}`, [gives(outV - 0.2, outV + 0.2)], { withstandV: [-0.3, 8] }),
        ],
        { elements: [regulator(outV)] },
      );
    const wired = (outV: number) =>
      judge(
        assemble(
          buildOf({ BAT: 'lead', FC: 'board', X: 'bec' }, [
            ...power,
            wire('A', 'X.VB', 'FC.VB'),
            wire('B', 'X.G', 'FC.G'),
            wire('C', `X.O${outV}`, 'FC.O5'),
          ]),
          makeCatalogue([lead, board([], []), bec(outV)]),
        ),
        [],
        [4, 6],
      ).map(({ severity, rule }) => `${severity} ${rule}`);
    expect(wired(5)).toEqual(['stop supplies joined']);
    expect(wired(5.2)).toEqual(['stop supplies joined']);
    expect(wired(5.5)).toContain('kill supplies joined');
  });

  it('regulator load: over its limit, over at peaks, over three quarters, over still air', () => {
    const light = (typicalA: number, peakA = typicalA) =>
      model('light', 'lights', own, { elements: [{ ...load('V', typicalA, peakA) }] });
    const at = (typicalA: number, peakA?: number, inner: readonly Element[] = []) =>
      found(board([], [], inner), light(typicalA, peakA), []).filter((rule) => rule.includes('regulator'));
    expect([at(0.5), at(0.77), at(1.2), at(0.5, 1.2)]).toEqual([
      [],
      ['warn regulator load'],
      ['stop regulator load'],
      ['warn regulator load'],
    ]);
    expect(at(0.5, 1.2, [load('O5', 0.1)])).toEqual(['stop regulator load']);
  });

  it('gauge: a thin wire to a hungry part', () => {
    const hungry = model('light', 'lights', own, { elements: [load('V', 0.7)] });
    const thin = (awg: number) =>
      judge(
        assemble(
          {
            ...buildOf({ BAT: 'lead', FC: 'board', X: 'light' }, [
              ...power,
              wire('V', 'X.V', 'FC.O5', { awg }),
              wire('XG', 'X.G', 'FC.G'),
            ]),
          },
          makeCatalogue([lead, board([], []), hungry]),
        ),
        [],
        [4, 6],
      ).map(({ severity, rule }) => `${severity} ${rule}`);
    expect([thin(28), thin(30), thin(34)]).toEqual([[], ['warn gauge'], ['stop gauge']]);
  });

  it('port taken, boot loader port, boot pin', () => {
    const radio = model('radio', 'positioning', [...own, signal('T', 'L', 'tx'), signal('T2', 'L2', 'tx')], {
      ports: [port('L', 'serial'), port('L2', 'serial')],
    });
    const fc = board(
      [
        signal('R1', 'A', 'rx'),
        signal('R2', 'B', 'rx'),
        terminal('BT', [], { printed: 'BOOT', withstandV: [-0.3, 5.5] }),
      ],
      [port('A', 'serial', { excludes: ['B'], speaks: ['bootLoader'] }), port('B', 'serial', { excludes: ['A'] })],
    );
    expect(found(fc, radio, [wire('T', 'X.T', 'FC.R1')])).toEqual(['warn boot loader port']);
    expect(found(fc, radio, [wire('T', 'X.T', 'FC.R1'), wire('T2', 'X.T2', 'FC.R2')])).toContain('stop port taken');
    expect(found(fc, radio, [wire('T', 'X.T', 'FC.BT')])).toContain('warn boot pin');
  });

  it('two drivers on one input, 5 V into a pin that bears 3.3 V, a level that is too low', () => {
    const fc = board([signal('R1', 'A', 'rx', { withstandV: [-0.3, 3.6], needsHighV: 2 })], [port('A', 'serial')]);
    const radio = (drivesV: number) =>
      model('radio', 'receiver', [...own, signal('T', 'L', 'tx', { drivesV }), signal('T2', 'M', 'tx', { drivesV })], {
        ports: [port('L', 'serial'), port('M', 'serial')],
      });
    expect(found(fc, radio(3.3), [wire('T', 'X.T', 'FC.R1')])).toEqual([]);
    expect(found(fc, radio(5), [wire('T', 'X.T', 'FC.R1')])).toEqual(['kill battery on logic']);
    expect(found(fc, radio(1.8), [wire('T', 'X.T', 'FC.R1')])).toEqual(['warn signal level']);
    const second = model('radio2', 'receiver', [...own, signal('T', 'L', 'tx')], { ports: [port('L', 'serial')] });
    const build = buildOf({ BAT: 'lead', FC: 'board', X: 'radio', Y: 'radio2' }, [
      ...power,
      ...fed,
      wire('Y1', 'Y.V', 'FC.O5'),
      wire('Y2', 'Y.G', 'FC.G'),
      wire('T', 'X.T', 'FC.R1'),
      wire('U', 'Y.T', 'X.T'),
    ]);
    expect(
      judge(assemble(build, makeCatalogue([lead, fc, radio(3.3), second])), [], [4, 6]).map(({ rule }) => rule),
    ).toContain('two drivers');
  });

  it('plug contact: more through it than it is made for, shared where two wires feed the part', () => {
    const unit = (typicalA: number, ampsPerPin: number) =>
      model('unit', 'video unit', own, {
        connectors: [{ id: 'J', family: 'f', pitchMm: 1, pins: ['V', 'G'], key: 'k', exitDeg: 0, ampsPerPin }],
        elements: [{ ...load('V', typicalA), id: 'L' } as Element],
      });
    const thick = (typicalA: number, ampsPerPin: number, more: readonly Wire[] = []) => {
      const fc = board([terminal('P5', [gives(4.75, 5.25)], { node: 'O5', withstandV: [-0.3, 5.5] })], [], []);
      const wires = [...power, wire('V', 'X.V', 'FC.O5', { awg: 20 }), wire('XG', 'X.G', 'FC.G', { awg: 20 }), ...more];
      return judge(
        assemble(
          buildOf({ BAT: 'lead', FC: 'board', X: 'unit' }, wires),
          makeCatalogue([lead, fc, unit(typicalA, ampsPerPin)]),
        ),
        [],
        [4, 6],
      )
        .filter(({ rule }) => rule === 'plug contact')
        .map(({ severity, wires: own }) => `${severity} ${own.join()}`);
    };
    expect([thick(0.4, 0.5), thick(0.6, 0.5), thick(0.6, 0.25)]).toEqual([[], ['warn V'], ['stop V']]);
    expect(thick(0.6, 0.4, [wire('V2', 'X.V', 'FC.P5', { awg: 20 })])).toEqual([]);
  });

  it('wire colours: a red ground and a black supply, not a lead that its part brings', () => {
    const dyed = (id: string, colour: string, from: 'stock' | 'tail' = 'stock') =>
      judge(
        assemble(
          buildOf(
            benchSlots,
            goodWires().map((wire) => (wire.id === id ? { ...wire, colour, from } : { ...wire, colour: 'white' })),
          ),
          benchParts(),
        ),
        [],
        [4, 6],
      ).map(({ rule }) => rule);
    expect([
      dyed('G', 'red'),
      dyed('V', 'black'),
      dyed('G', 'black'),
      dyed('V', 'red'),
      dyed('T', 'red'),
      dyed('G', 'red', 'tail'),
    ]).toEqual([['wire colours'], ['wire colours'], [], [], [], []]);
  });

  it('capacitor margin, unused conductor, a ground that is only a shell', () => {
    const cap = (ratedV: number) =>
      model('cap', 'capacitor', [terminal('V', [takes(0, 60)]), terminal('G', [ground])], {
        elements: [
          {
            id: 'C',
            fails: [],
            is: 'capacitor',
            plus: 'V',
            minus: 'G',
            farads: 1e-3,
            esrOhms: 0.02,
            leakOhms: 1e5,
            ratedV,
            keepsAtRated: 1,
            polarised: true,
          },
        ],
      });
    const across = (ratedV: number, lengthMm: number | null = 12, awg = 20) =>
      judge(
        assemble(
          buildOf({ BAT: 'lead', FC: 'board', X: 'cap' }, [
            ...power,
            wire('A', 'X.V', 'FC.VB', { lengthMm, awg }),
            wire('B', 'X.G', 'FC.G', { lengthMm, awg }),
          ]),
          makeCatalogue([lead, board([], []), cap(ratedV)]),
        ),
        [],
        [4, 6],
      ).map(({ rule }) => rule);
    expect([across(35), across(30)]).toEqual([[], ['capacitor margin']]);
    // 20 mOhm bare: 0.85 nH/mm of pair at 100 kHz are 0.53 mOhm/mm, copper of both legs another 0.07: doubled at about
    // 33 mm.
    expect([across(35, 32), across(35, 35), across(35, null)]).toEqual([[], ['capacitor legs'], []]);
    // Thin wire adds copper: 30 AWG has 0.67 mOhm/mm there and back.
    expect([across(35, 16, 30), across(35, 18, 30)]).toEqual([[], ['capacitor legs']]);
    const bare = judge(
      assemble(
        buildOf(benchSlots, [...goodWires().filter(({ id }) => id !== 'R'), wire('Z', 'FC.T1', null)]),
        benchParts(),
      ),
      [],
      [4, 6],
    ).map(({ rule }) => rule);
    expect(bare).toEqual([]);
    const live = judge(
      assemble(
        buildOf(benchSlots, [
          ...goodWires().filter(({ id }) => !['V', 'G', 'T', 'R'].includes(id)),
          wire('Z', 'FC.5V', null),
        ]),
        benchParts(),
      ),
      [],
      [4, 6],
    ).map(({ rule }) => rule);
    expect(live).toEqual(['unused conductor']);
    const shelled = model('cam', 'camera', [
      terminal('V', [takes(4.5, 5.5)], { withstandV: [-0.3, 6] }),
      terminal('G', [ground], { form: 'shell' }),
    ]);
    expect(found(board([], []), shelled, [])).toEqual(['stop ground missing']);
  });
});
