/**
 * What a model that ships has besides: pins for the way of each port, currents of motors and of what drives them, plugs
 * of packs. One that somebody enters may lack it: then it is not known.
 */
import type { ModelMistake } from './mistake';
import { mistake } from './mistake';
import type { PartModel, Port, PortPin } from './partModel';

export function checkComplete(model: PartModel): ModelMistake[] {
  const { kind, connectors, cells, motorCurrent, speed } = model;
  const missing = (is: boolean, path: string, message: string) => (is ? [mistake(path, 'missing', message)] : []);
  return [
    ...missing(kind === 'pack' && !cells, 'cells', 'a pack has cells'),
    ...missing(
      (kind === 'battery lead' || kind === 'pack') && connectors.length === 0,
      'connectors',
      'it brings the plug of the pack',
    ),
    ...missing(
      (kind === 'motor' || kind === 'esc') && !motorCurrent,
      'motorCurrent',
      'what a motor draws, and what drives it bears, is said',
    ),
    ...missing(speed !== undefined && Object.keys(speed).length === 0, 'speed', 'nothing is said of its speed'),
    ...portsWithoutPins(model),
  ];
}

function portsWithoutPins({ ports, terminals }: PartModel): ModelMistake[] {
  return ports.flatMap((port, index) => {
    const pins = terminals.flatMap(({ roles }) =>
      roles.flatMap((role) => (role.is === 'port' && role.port === port.id ? [role.pin] : [])),
    );
    return wanted(port).some((set) => set.every((pin) => pins.includes(pin)))
      ? []
      : [mistake(`ports.${index}`, 'pins', `port ${port.id} has not the pins that its way needs`)];
  });
}

/** Sets of pins of which a port has one at least. */
function wanted({ kind, way, halfDuplex }: Port): readonly (readonly PortPin[])[] {
  switch (kind) {
    case 'serial':
    case 'escData':
      if (halfDuplex) return [['tx'], ['rx']];
      return [{ gives: ['tx'], takes: ['rx'], both: ['tx', 'rx'] }[way] as PortPin[]];
    case 'i2c':
      return [['sda', 'scl']];
    case 'motorPhase':
      return [
        ['a', 'b', 'c'],
        ['plus', 'minus'],
      ];
    case 'usb':
      return [['plus', 'minus']];
    case 'buzzer':
      return [['plus'], ['minus']];
    default:
      return { gives: [['out']], takes: [['in']], both: [['in'], ['out']] }[way] as PortPin[][];
  }
}
