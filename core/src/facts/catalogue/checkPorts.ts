/** A pin of a port is on one conductor, and a port speaks what somebody listens to. */
import type { ModelMistake } from './mistake';
import { mistake } from './mistake';
import type { PartModel, Port } from './partModel';

const spoken: ReadonlySet<string> = new Set([
  'bootLoader',
  'control',
  'escTelemetry',
  'positioning',
  'serialReceiver',
  'telemetry',
  'video',
]);

const maySpeakOnOneWire: ReadonlySet<Port['kind']> = new Set(['serial', 'escData', 'motorSignal']);

export function checkPorts({ ports, terminals }: PartModel): ModelMistake[] {
  return ports.flatMap((port, index) => {
    const { id, kind, halfDuplex, speaks } = port;
    const path = `ports.${index}`;
    const pins = terminals.flatMap(({ node, roles }) =>
      roles.flatMap((role) => (role.is === 'port' && role.port === id ? [{ node, pin: role.pin }] : [])),
    );
    const apart = pins.find(({ node, pin }) => pins.some((other) => other.pin === pin && other.node !== node));
    const silent = speaks.find((word) => !spoken.has(word));
    return [
      ...(apart ? [mistake(path, 'node', `${apart.pin} of port ${id} is on two conductors`)] : []),
      ...(halfDuplex && !maySpeakOnOneWire.has(kind)
        ? [
            mistake(
              `${path}.halfDuplex`,
              'half-duplex',
              `port ${id} is of a kind that does not speak both ways on a wire`,
            ),
          ]
        : []),
      ...(silent ? [mistake(`${path}.speaks`, 'speaks', `port ${id} speaks ${silent}, which nobody understands`)] : []),
    ];
  });
}
