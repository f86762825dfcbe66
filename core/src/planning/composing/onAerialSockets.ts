/** What goes on a socket of a transmitter that nothing is on: an adapter for an aerial that is there, or an aerial. */
import type { Assembly } from '../../facts/assembly/assembly';
import { isAerial, isCable } from '../../facts/catalogue/kinds';
import type { PartModel } from '../../facts/catalogue/partModel';
import { groupedBy } from '../../facts/terms/groupedBy';
import { unsuitedWords } from '../../judgement/rules/aerialKind';
import type { RadioEnd } from '../planner/aerialSockets';
import { aerialSockets } from '../planner/aerialSockets';
import type { Choice } from './choicesFor';

export function onAerialSockets(assembly: Assembly, inTurn: readonly PartModel[]): Choice[] {
  const { open, idle } = aerialSockets(assembly);
  const left = new Set(idle);
  const wanted = open.flatMap((socket) => {
    const own = socket.model.name;
    for (const aerial of left) {
      const adapter = suits(aerial, socket) ? adapterFor(socket, aerial, inTurn) : null;
      if (!adapter) continue;
      left.delete(aerial);
      return [{ model: adapter, because: `${aerial.model.name} has ${aerial.family}, ${own} ${socket.family}` }];
    }
    const aerial = aerialFor(socket, inTurn);
    return aerial ? [{ model: aerial, because: `nothing is on the aerial socket of ${own}` }] : [];
  });
  // One line for all of the same for the same reason.
  return [...groupedBy(wanted, ({ model, because }) => `${model.id} ${because}`).values()].map((same) => {
    const { model, because } = same[0]!;
    return { because, count: same.length, first: model, others: [] };
  });
}

/** Its plug goes into the one socket, the plug of the aerial into its own; what loses least comes first. */
function adapterFor(socket: RadioEnd, aerial: RadioEnd, inTurn: readonly PartModel[]): PartModel | null {
  const joins = inTurn.filter(({ kind, cable, connectors }) => {
    const isPlug = ({ id }: PartModel['connectors'][number]) => cable?.connectors.includes(id) ?? false;
    const has = (family: string, plug: boolean) =>
      connectors.some((one) => one.family === family && isPlug(one) === plug);
    return isCable(kind) && has(socket.family, true) && has(aerial.family, false);
  });
  const lossDb = ({ cable }: PartModel) => cable?.lossDb ?? 0;
  return joins.sort((a, b) => lossDb(a) - lossDb(b))[0] ?? null;
}

/** Of its plug, its band and its wave, the lightest. */
function aerialFor(socket: RadioEnd, inTurn: readonly PartModel[]): PartModel | null {
  const fits = inTurn.find((model) => {
    const radio = model.ports.find(({ kind, way }) => kind === 'aerial' && way === 'takes')?.radio;
    const isPlug = isAerial(model.kind) && model.connectors.some(({ family }) => family === socket.family);
    return isPlug && radio !== undefined && suits({ radio }, socket);
  });
  return fits ?? null;
}

function suits(aerial: Pick<RadioEnd, 'radio'>, socket: RadioEnd): boolean {
  return unsuitedWords(socket.radio, aerial.radio) === null;
}
