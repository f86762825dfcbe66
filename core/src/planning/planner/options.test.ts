/** The ways in which wishes can be served, on small parts of their own. */
import { describe, expect, it } from 'vitest';
import { emptyBuild } from '../../facts/assembly/build';
import { makeCatalogue } from '../../facts/catalogue/catalogue';
import type { PartModel, Port, PortPin, Terminal } from '../../facts/catalogue/partModel';
import type { Purpose, Wish } from '../../facts/plan/wish';
import { fitted, gives, ground, model, port, takes, terminal } from '../../testing/fixtures';
import { optionsFor } from './options';
import { assemble } from '../../facts/assembly/assembly';
import { wayLoss, waysOf } from './ways';

const at = (id: string, portId: string, pin: PortPin, over: Partial<Terminal> = {}) =>
  terminal(id, [{ is: 'port', port: portId, pin }], over);
const everything = ['serialReceiver', 'positioning', 'control', 'video', 'telemetry', 'escTelemetry'];
const uart = (id: string, over: Partial<Port> = {}): Port => port(id, 'serial', { speaks: everything, ...over });

const board = model(
  'board',
  'controller',
  [
    terminal('G', [ground], { holds: 4 }),
    terminal('5V', [gives(4.75, 5.25)], { holds: 4 }),
    at('T1', 'U1', 'tx'),
    at('R1', 'U1', 'rx'),
    at('T2', 'U2', 'tx'),
    at('R2', 'U2', 'rx'),
    at('S', 'U2I', 'rx'),
    at('IN', 'CI', 'in'),
    at('OUT', 'VO', 'out'),
    at('L', 'LED', 'out', { holds: 2 }),
    at('BM', 'BZ', 'minus'),
    at('BP', 'BZ', 'plus'),
  ],
  {
    ports: [
      uart('U1'),
      uart('U2', { excludes: ['U2I'] }),
      uart('U2I', { speaks: ['serialReceiver'], inversion: 'inverted', excludes: ['U2'] }),
      port('CI', 'video', { way: 'takes' }),
      port('VO', 'video', { way: 'gives' }),
      port('LED', 'lights', { way: 'gives' }),
      port('BZ', 'buzzer', { way: 'gives' }),
    ],
  },
);
const radio = (inversion: Port['inversion'], pins: readonly ('tx' | 'rx')[]) =>
  model(
    'radio',
    'receiver',
    [terminal('V', [takes(4.5, 5.5)]), ...pins.map((pin) => at(pin.toUpperCase(), 'L', pin))],
    { ports: [uart('L', { inversion })] },
  );
const camera = model('camera', 'camera', [at('V', 'P', 'out')], { ports: [port('P', 'video', { way: 'gives' })] });
const transmitter = model('vtx', 'video unit', [at('VI', 'P', 'in'), at('C', 'CTL', 'rx')], {
  ports: [port('P', 'video', { way: 'takes' }), uart('CTL', { speaks: ['control'], halfDuplex: true })],
});
const strip = model('strip', 'lights', [at('DI', 'IN', 'in'), at('DO', 'NEXT', 'out')], {
  ports: [port('IN', 'lights', { way: 'takes' }), port('NEXT', 'lights', { way: 'gives' })],
});

/** Options of a wish with these parts beside the board, told as "way port". */
function ways(
  purpose: Purpose,
  of: string,
  parts: Readonly<Record<string, PartModel>>,
  welcome: readonly string[] = waysOf[purpose],
): string[] {
  const build = {
    ...emptyBuild,
    slots: Object.fromEntries(Object.entries({ FC: board, ...parts }).map(([slot, { id }]) => [slot, fitted(id)])),
  };
  const wish: Wish = { id: `${purpose} ${of}`, purpose, of, must: false, lossIfDropped: 3, ways: welcome };
  const catalogue = makeCatalogue([board, ...Object.values(parts)]);
  return optionsFor(wish, assemble(build, catalogue)).map(({ way, ends }) =>
    [way, ...ends.filter(({ slot }) => slot !== of).map(({ slot, port: id }) => `${slot}/${id}`)].join(' '),
  );
}

describe('ways of a wish', () => {
  it('of a two-way receiver: on each port both ways, or control only; a port that hears the other polarity is none', () => {
    expect(ways('receiver', 'RX', { RX: radio('plain', ['tx', 'rx']) })).toEqual([
      'two-way FC/U1',
      'control only FC/U1',
      'two-way FC/U2',
      'control only FC/U2',
    ]);
    // The inverted pad has no transmit pad of its own: only a one-way receiver is at home there.
    expect(ways('receiver', 'RX', { RX: radio('inverted', ['tx']) })).toEqual(['two-way FC/U2I']);
    expect(ways('receiver', 'RX', { RX: radio('inverted', ['tx', 'rx']) })).toEqual(['control only FC/U2I']);
    expect(ways('receiver', 'RX', { RX: radio('plain', ['tx', 'rx']) }, ['two-way'])).toEqual([
      'two-way FC/U1',
      'two-way FC/U2',
    ]);
  });

  it('of a picture: through the controller, straight, or with a camera of its own; without a camera none', () => {
    expect(ways('video', 'VTX', { VTX: transmitter, CAM: camera })).toEqual([
      'through the controller FC/VO',
      'straight to the transmitter CAM/P',
    ]);
    expect(ways('video', 'VTX', { VTX: transmitter })).toEqual([]);
    expect(
      ways('video', 'VTX', { VTX: model('digital', 'video unit', [at('R', 'D', 'rx')], { ports: [uart('D')] }) }),
    ).toEqual(['with its own camera']);
  });

  it('of control of the transmitter: a port, or the output of a receiver that has one', () => {
    expect(ways('video control', 'VTX', { VTX: transmitter })).toEqual(['own port FC/U1', 'own port FC/U2']);
    const steering = model('steering', 'receiver', [at('T', 'L', 'tx'), at('O', 'CTL', 'tx')], {
      ports: [uart('L'), uart('CTL', { way: 'gives', speaks: ['control'] })],
    });
    expect(ways('video control', 'VTX', { VTX: transmitter, RX: steering })).toEqual([
      'own port FC/U1',
      'own port FC/U2',
      'over the receiver RX/CTL',
    ]);
  });

  it('of lights: the shared pad, and the end of the strip before', () => {
    expect(ways('lights', 'LED1', { LED1: strip })).toEqual(['shared pad FC/LED']);
    expect(ways('lights', 'LED2', { LED1: strip, LED2: strip })).toEqual(['shared pad FC/LED', 'chained LED1/NEXT']);
  });

  it('of a part that is not there, or a board that has no such pad, are none', () => {
    expect(ways('buzzer', 'BZ', {})).toEqual([]);
    expect(
      ways('compass', 'GPS', {
        GPS: model('gps', 'positioning', [at('D', 'M', 'sda'), at('C', 'M', 'scl')], { ports: [port('M', 'i2c')] }),
      }),
    ).toEqual([]);
  });

  it('all have a price, the best of each purpose none', () => {
    for (const [purpose, list] of Object.entries(waysOf)) {
      for (const way of list) expect([purpose, way, wayLoss[way] !== undefined]).toEqual([purpose, way, true]);
      expect([purpose, wayLoss[list[0]!]]).toEqual([purpose, 0]);
    }
  });
});
