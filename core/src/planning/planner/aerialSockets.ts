/** Which sockets of transmitters have an aerial, be it through an adapter, and which aerials have no socket. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { ConnectorRef, Mate } from '../../facts/assembly/build';
import { isAerial, isTransmitter } from '../../facts/catalogue/kinds';
import type { Connector, PartModel, Port } from '../../facts/catalogue/partModel';
import { connectorMates } from './connectorMates';

type Radio = NonNullable<Port['radio']>;

export interface RadioSocket {
  /** The transmitter. */
  model: PartModel;
  /** Of the socket that is open: that of an adapter where one is on it. */
  family: string;
  radio: Radio | null;
}

export interface IdleAerial {
  model: PartModel;
  family: string;
  radio: Radio | null;
}

/** As plugs go into sockets by themselves. */
export function aerialSockets(assembly: Assembly): { open: readonly RadioSocket[]; idle: readonly IdleAerial[] } {
  const mates = connectorMates(assembly).map(([, mate]) => mate);
  const slots = Object.keys(assembly.build.slots);
  const radios = (way: Port['way']) =>
    slots.flatMap((slot) => {
      const model = assembly.model(slot)!;
      return aerialConnectors(model, way).map(({ connector, radio }) => ({ slot, model, connector, radio }));
    });
  const senders = radios('gives').filter(({ model }) => isTransmitter(model.kind));
  const open = senders.flatMap(({ slot, model, connector, radio }): RadioSocket[] => {
    const family = openFamily(assembly, mates, { slot, connector });
    return family === null ? [] : [{ model, family, radio }];
  });
  const idle = radios('takes')
    .filter(({ slot, connector }) => otherEnd(mates, { slot, connector: connector.id }) === null)
    .map(({ model, connector, radio }) => ({ model, family: connector.family, radio }));
  return { open, idle };
}

/** Connectors with the core of an aerial port in them. */
function aerialConnectors({ connectors, terminals, ports }: PartModel, way: Port['way']) {
  return ports.flatMap(({ id, kind, way: own, radio }) => {
    if (kind !== 'aerial' || own !== way) return [];
    const pins = terminals.filter(({ roles }) => roles.some((role) => role.is === 'port' && role.port === id));
    const connector = connectors.find((one) => pins.some((pin) => one.pins.includes(pin.id)));
    return connector ? [{ connector, radio: radio ?? null }] : [];
  });
}

/** The family of the socket that an aerial would go into here; null: there is one. */
function openFamily(
  assembly: Assembly,
  mates: readonly Mate[],
  at: { slot: string; connector: Connector },
): string | null {
  const other = otherEnd(mates, { slot: at.slot, connector: at.connector.id });
  if (!other) return at.connector.family;
  const model = assembly.model(other.slot)!;
  if (isAerial(model.kind)) return null;
  const further = model.connectors.find(({ id }) => id !== other.connector);
  return further ? openFamily(assembly, mates, { slot: other.slot, connector: further }) : null;
}

function otherEnd(
  mates: readonly Mate[],
  at: { slot: string; connector: string },
): Extract<ConnectorRef, { slot: string }> | null {
  const is = (ref: ConnectorRef) => 'slot' in ref && ref.slot === at.slot && ref.connector === at.connector;
  for (const { a, b } of mates) {
    if (is(a) && 'slot' in b) return b;
    if (is(b) && 'slot' in a) return a;
  }
  return null;
}
