/**
 * Extras worth having, by what the loss of the craft would cost. What an extra saves is an assumption that is shown
 * with it: one loss in 200 flights, of which it prevents a share; over a hundred flights.
 */
import type { PartKind, PartModel } from '../../facts/catalogue/partModel';
import type { Assembly } from '../../facts/assembly/assembly';
import { isController } from '../../facts/catalogue/kinds';

interface Extra {
  what: string;
  model: string;
  there: boolean;
  massG: number;
  typicalA: number;
  serialPorts: number;
  freePorts: number;
  savesMinor: number;
  message: string;
}

const lossPerFlight = 1 / 200;
const flights = 100;
const options: readonly { what: string; kind: PartKind; prevents: number; suits: (model: PartModel) => boolean }[] = [
  {
    what: 'positioning, to come home on lost signal',
    kind: 'positioning',
    prevents: 0.35,
    suits: (model) => model.ports.some(({ kind }) => kind === 'serial'),
  },
  {
    what: 'buzzer with its own cell, to be found',
    kind: 'buzzer',
    prevents: 0.15,
    suits: (model) => model.elements.some(({ id }) => id === 'CHARGER'),
  },
  {
    what: 'receiver with two antennas',
    kind: 'receiver',
    prevents: 0.1,
    suits: (model) => /two antennas/.test(model.name),
  },
];

/** @param valueMinor What the craft and its load are worth, in minor units of the shop's money. */
export function extrasFor(target: Assembly, models: readonly PartModel[], valueMinor: number): Extra[] {
  const fitted = Object.keys(target.build.slots).map((slot) => target.model(slot)!);
  const freePorts = countFreePorts(target);
  return options.flatMap(({ what, kind, prevents, suits }) => {
    const candidate = models
      .filter((model) => model.kind === kind && suits(model))
      .sort((a, b) => a.massG - b.massG)[0];
    if (!candidate) return [];
    const there = fitted.some((model) => model.kind === kind && suits(model));
    const serialPorts = kind === 'positioning' ? 1 : 0;
    const savesMinor = Math.round(valueMinor * lossPerFlight * flights * prevents);
    const typicalA = candidate.elements.reduce(
      (sum, element) => sum + (element.is === 'load' ? element.typicalA : 0),
      0,
    );
    const saysOf = () => {
      if (there) return 'is in the plan';
      if (serialPorts > freePorts) return 'no port is free for it';
      return `assumed to prevent ${Math.round(prevents * 100)} % of losses`;
    };
    return [
      {
        what,
        model: candidate.name,
        there,
        massG: candidate.massG,
        typicalA,
        serialPorts,
        freePorts,
        savesMinor,
        message: saysOf(),
      },
    ];
  });
}

/** Serial ports of the controller that nothing is wired to. */
function countFreePorts(target: Assembly): number {
  const slot = Object.keys(target.build.slots).find((name) => isController(target.model(name)!.kind));
  const model = slot ? target.model(slot)! : null;
  if (!slot || !model) return 0;
  const used = new Set(
    Object.values(target.build.wires).flatMap(({ ends }) =>
      ends.flatMap(({ at }) => (at.on === 'terminal' ? [at.ref] : [])),
    ),
  );
  const mated = new Set(
    Object.values(target.build.mates)
      .flatMap(({ a, b }) => [a, b])
      .flatMap((side) => ('slot' in side && side.slot === slot ? [side.connector] : [])),
  );
  const plugged = new Set(model.connectors.filter(({ id }) => mated.has(id)).flatMap(({ pins }) => pins));
  const busy = new Set(
    model.terminals
      .filter(({ id }) => used.has(`${slot}.${id}`) || plugged.has(id))
      .flatMap(({ roles }) => roles.flatMap((role) => (role.is === 'port' ? [role.port] : []))),
  );
  return model.ports.filter(({ id, kind, way }) => kind === 'serial' && way === 'both' && !busy.has(id)).length;
}
