/** What goes on a socket of a transmitter that nothing is on: an adapter for an aerial that is there, or an aerial. */
import type { Assembly } from '../../facts/assembly/assembly';
import { isAerial, isCable } from '../../facts/catalogue/kinds';
import type { PartModel, Port } from '../../facts/catalogue/partModel';
import type { IdleAerial, RadioSocket } from '../planner/aerialSockets';
import { aerialSockets } from '../planner/aerialSockets';
import type { Choice } from './choicesFor';

export function onAerialSockets(assembly: Assembly, inTurn: readonly PartModel[]): Choice[] {
  const { open, idle } = aerialSockets(assembly);
  const choices = new Choices();
  const left = [...idle];
  for (const socket of open) {
    const joined = left.flatMap((aerial) => {
      const adapter = suits(aerial.radio, socket.radio) ? adapterFor(socket, aerial, inTurn) : null;
      return adapter ? [{ aerial, adapter }] : [];
    });
    const [first] = joined;
    if (first) {
      left.splice(left.indexOf(first.aerial), 1);
      const own = `${first.aerial.model.name} has ${first.aerial.family}`;
      choices.add(first.adapter, `${own}, ${socket.model.name} ${socket.family}`);
      continue;
    }
    const aerial = aerialFor(socket, inTurn);
    if (aerial) choices.add(aerial, `nothing is on the aerial socket of ${socket.model.name}`);
  }
  return choices.all;
}

/** One line for all of the same for the same reason. */
class Choices {
  readonly all: Choice[] = [];

  add(first: PartModel, because: string): void {
    const at = this.all.findIndex((one) => one.first === first && one.because === because);
    const same = this.all[at];
    if (same) this.all[at] = { ...same, count: same.count + 1 };
    else this.all.push({ because, count: 1, first, others: [] });
  }
}

/** Its plug goes into the one socket, the plug of the aerial into its own; what loses least comes first. */
function adapterFor(socket: RadioSocket, aerial: IdleAerial, inTurn: readonly PartModel[]): PartModel | null {
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
function aerialFor({ family, radio }: RadioSocket, inTurn: readonly PartModel[]): PartModel | null {
  const fits = inTurn.filter((model) => {
    const own = radioOf(model);
    return isAerial(model.kind) && model.connectors.some((one) => one.family === family) && own && suits(own, radio);
  });
  return fits[0] ?? null;
}

function radioOf({ ports }: PartModel): Radio | null {
  return ports.find(({ kind, way }) => kind === 'aerial' && way === 'takes')?.radio ?? null;
}

type Radio = NonNullable<Port['radio']>;

/** The whole band, and the wave that is wanted; what a sheet does not say is not known, and not held against it. */
function suits(aerial: Radio | null, socket: Radio | null): boolean {
  if (!aerial || !socket) return true;
  const isAlike = !aerial.polarisation || !socket.polarisation || aerial.polarisation === socket.polarisation;
  return isAlike && aerial.bandMHz[0] <= socket.bandMHz[0] && aerial.bandMHz[1] >= socket.bandMHz[1];
}
