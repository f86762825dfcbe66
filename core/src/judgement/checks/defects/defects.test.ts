/** What can be wrong with a board on a battery lead, and how bad that is. */
import { describe, expect, it } from 'vitest';
import { assemble } from '../../../facts/assembly/assembly';
import { makeCatalogue } from '../../../facts/catalogue/catalogue';
import type { PartModel } from '../../../facts/catalogue/partModel';
import { buildOf, gives, ground, model, pin, port, takes, terminal, wire } from '../../../testing/fixtures';
import { defectsOf } from './defectsOf';

const lead = model('lead', 'battery lead', [terminal('P', [gives(0, 26)]), terminal('N', [ground], { atMm: [20, 0] })]);
const board = model(
  'board',
  'controller',
  [
    terminal('VB', [takes(6, 26)], { atMm: [0, 0] }),
    terminal('G', [ground], { atMm: [2, 0] }),
    terminal('T1', [pin('U', 'tx')], { atMm: [4, 0], withstandV: [-0.3, 3.6] }),
    terminal('R1', [pin('U', 'rx')], { atMm: [20, 0], withstandV: [-0.3, 3.6] }),
  ],
  { ports: [port('U', 'serial')] },
);
const build = buildOf({ BAT: 'lead', FC: 'board' }, [wire('WP', 'BAT.P', 'FC.VB'), wire('WN', 'BAT.N', 'FC.G')]);

function found(models: readonly PartModel[] = [lead, board]) {
  return defectsOf(assemble(build, makeCatalogue(models)));
}
const harmsOf = (kind: string) => found().flatMap((one) => (one.kind === kind ? [one.harm] : []));

describe('what can be wrong', () => {
  it('is each joint open: without a main lead nothing runs', () => {
    expect(harmsOf('joint open')).toEqual(['stop', 'stop', 'stop', 'stop']);
  });

  it('kills a board that has lost its ground and hangs on the battery and on one that has ground', () => {
    const two = buildOf({ BAT: 'lead', FC: 'board', RX: 'board' }, [
      wire('WP', 'BAT.P', 'FC.VB'),
      wire('WN', 'BAT.N', 'FC.G'),
      wire('XP', 'BAT.P', 'RX.VB'),
      wire('XN', 'FC.G', 'RX.G'),
      wire('S', 'FC.T1', 'RX.R1'),
    ]);
    const open = defectsOf(assemble(two, makeCatalogue([lead, board]))).filter(({ kind }) => kind === 'joint open');
    expect(
      open.flatMap(({ site, harm }) => ('wire' in site && site.end === 1 ? [`${site.wire} ${harm}`] : [])),
    ).toEqual(['WP stop', 'WN stop', 'XP stop', 'XN kill', 'S stop']);
  });

  it('is seen of a part behind another one that has lost its ground', () => {
    const behind = buildOf({ BAT: 'lead', FC: 'board', RX: 'board', GPS: 'board' }, [
      wire('WP', 'BAT.P', 'FC.VB'),
      wire('WN', 'BAT.N', 'FC.G'),
      wire('XP', 'BAT.P', 'RX.VB'),
      wire('XN', 'FC.G', 'RX.G'),
      wire('YN', 'RX.G', 'GPS.G'),
    ]);
    const open = defectsOf(assemble(behind, makeCatalogue([lead, board])));
    expect(open.find(({ site }) => 'wire' in site && site.wire === 'XN' && site.end === 1)?.harm).toBe('kill');
  });

  it('is a bridge between neighbours, by what they are for', () => {
    const bridges = found().filter(({ kind }) => kind === 'solder bridge');
    expect(bridges.map(({ site, harm }) => ['between' in site ? site.between.join(' ') : '', harm])).toEqual([
      ['FC.VB FC.G', 'kill'],
      ['FC.G FC.T1', 'stop'],
    ]);
  });

  it('is a strand of the battery that reaches further than a bridge', () => {
    expect(harmsOf('battery on a signal pad')).toEqual(['kill']);
  });

  it('is plus and minus taken for each other, which kills', () => {
    expect(new Set(harmsOf('two wires exchanged'))).toEqual(new Set(['kill']));
  });

  it('is nothing on pads that nobody uses, but for a wire that went there', () => {
    const unused = {
      ...board,
      terminals: board.terminals.map((one) => (one.id === 'T1' ? { ...one, roles: [] } : one)),
    };
    const kinds = found([lead, unused]).map(({ kind, site }) => `${kind} ${JSON.stringify(site)}`);
    expect(kinds.filter((words) => words.includes('FC.T1'))).toEqual([
      'wire on the pad beside {"wire":"WN","end":1,"onto":"FC.T1"}',
    ]);
  });

  it('has a name of its own each', () => {
    const ids = found().map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });
});

describe('what fails inside where no pad shows it', () => {
  const regulator = {
    id: 'REG',
    fails: ['short'],
    is: 'regulator',
    kindOf: 'linear',
    input: 'VB',
    output: 'inner',
    ground: 'G',
    enable: 'always',
    outV: 3.3,
    minInV: 3.8,
    limitA: 0.3,
    stillAirA: 0.2,
    efficiency: 0.6,
    idleA: 0.001,
    offOhms: 2000,
    backDiodeV: 0.6,
  } as const;
  const load = {
    id: 'CORE',
    fails: ['short'],
    is: 'load',
    plus: 'inner',
    minus: 'G',
    offOhms: 3000,
    idleA: 0.01,
    typicalA: 0.05,
    peakA: 0.1,
    constant: 'current',
    wakesAtV: 2.7,
    liveOnUsb: false,
  } as const;

  it('kills behind a regulator that lets all through, and stops the part else', () => {
    const inside = found([lead, { ...board, elements: [regulator, load] }]).filter(
      ({ kind }) => kind === 'short inside',
    );
    expect(inside.map(({ site, harm }) => ['slot' in site && site.element, harm])).toEqual([
      ['REG', 'kill'],
      ['CORE', 'stop'],
    ]);
  });
});
