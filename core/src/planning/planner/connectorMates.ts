/** Plugs in sockets that no wire of ours goes to. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Mate } from '../../facts/assembly/build';
import { isAerial, isCable, isTransmitter } from '../../facts/catalogue/kinds';
import type { Connector, PartModel } from '../../facts/catalogue/partModel';

/** Aerials on their sockets, cables from socket to socket: one plug for one socket of a family. */
export function connectorMates(assembly: Assembly): [string, Mate][] {
  const taken = new Set<string>();
  const all = Object.keys(assembly.build.slots).flatMap((slot) => {
    const model = assembly.model(slot)!;
    return model.connectors.map((connector) => ({ slot, connector, model }));
  });
  const cables = new Set(all.flatMap(({ model, connector }) => (isCable(model.kind) ? [connector.family] : [])));
  return all
    .filter((plug) => isPlug(plug, cables))
    .flatMap((plug): [string, Mate][] => {
      const socket = all.find(
        (one) =>
          !isPlug(one, cables) &&
          one.connector.family === plug.connector.family &&
          !taken.has(`${one.slot}.${one.connector.id}`),
      );
      if (!socket) return [];
      taken.add(`${socket.slot}.${socket.connector.id}`);
      const { kind } = plug.model;
      const [a, b] = isAerial(kind) ? [socket, plug] : [plug, socket];
      const end = isCable(kind) ? plug.connector.id : '';
      const name = isAerial(kind) ? plug.slot.replace(/^ANT/, 'ANTJ') : `${plug.slot}${end}J`;
      return [
        [
          name,
          {
            a: { slot: a.slot, connector: a.connector.id },
            b: { slot: b.slot, connector: b.connector.id },
            shift: 0,
            mirrored: false,
            glued: false,
          },
        ],
      ];
    });
}

/** Hangs on a cable. Of a camera that says nothing of its cable: where nothing else brings one, it has its own. */
function isPlug(
  { model: { kind, cable }, connector }: { model: PartModel; connector: Connector },
  cables: ReadonlySet<string>,
): boolean {
  if (isAerial(kind) || cable?.connectors.includes(connector.id)) return true;
  return !isTransmitter(kind) && connector.family.startsWith('camera') && !cables.has(connector.family);
}
