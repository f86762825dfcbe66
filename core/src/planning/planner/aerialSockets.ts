/** Which sockets of transmitters have an aerial, be it through an adapter, and which aerials have no socket. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { ConnectorRef, Mate } from '../../facts/assembly/build';
import { isAerial, isTransmitter } from '../../facts/catalogue/kinds';
import type { Connector, PartModel, Port } from '../../facts/catalogue/partModel';
import type { Radio } from '../../judgement/rules/aerialKind';
import { connectorMates } from './connectorMates';
import { pinsOf } from './fixedJoins';

/** A transmitter with a socket that nothing is on, or an aerial with a plug that is in none. */
export interface RadioEnd {
  model: PartModel;
  /** Of its own connector, or of an adapter's where one is on its socket. */
  family: string;
  radio: Radio | undefined;
}

/** As plugs go into sockets by themselves. */
export function aerialSockets(assembly: Assembly): { open: readonly RadioEnd[]; idle: readonly RadioEnd[] } {
  const mates = connectorMates(assembly).map(([, mate]) => mate);
  const slots = Object.keys(assembly.build.slots);
  const radios = (way: Port['way']) =>
    slots.flatMap((slot) => {
      const model = assembly.model(slot)!;
      return aerialConnectors(model, way).map(({ connector, radio }) => ({ slot, model, connector, radio }));
    });
  const senders = radios('gives').filter(({ model }) => isTransmitter(model.kind));
  const open = senders.flatMap(({ slot, model, connector, radio }): RadioEnd[] => {
    const family = openFamily(assembly, mates, { slot, connector });
    return family === null ? [] : [{ model, family, radio }];
  });
  const idle = radios('takes')
    .filter(({ slot, connector }) => otherEnd(mates, { slot, connector: connector.id }) === null)
    .map(({ model, connector, radio }) => ({ model, family: connector.family, radio }));
  return { open, idle };
}

/** Connectors with the core of an aerial port in them. */
function aerialConnectors(model: PartModel, way: Port['way']) {
  return model.ports.flatMap(({ id, kind, way: own, radio }) => {
    if (kind !== 'aerial' || own !== way) return [];
    const pins = pinsOf(model, id);
    const connector = model.connectors.find((one) => pins.some((pin) => one.pins.includes(pin.id)));
    return connector ? [{ connector, radio }] : [];
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
