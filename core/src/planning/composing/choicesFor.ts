/**
 * What is put on a heap by whoever forgot it: a battery lead, the capacitor that a sheet asks for, aerials and what
 * they are screwed to, cables.
 */
import type { Assembly } from '../../facts/assembly/assembly';
import { isBatteryLead, isCable, isCapacitor, isTransmitter } from '../../facts/catalogue/kinds';
import { newestModels } from '../../facts/catalogue/newestModels';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Range } from '../../facts/terms/names';
import { packVolts } from '../../facts/terms/names';
import { onAerialSockets } from './onAerialSockets';

export interface Choice {
  because: string;
  count: number;
  /** What is tried first. */
  first: PartModel;
  /** What may take its place, the most welcome first. */
  others: readonly PartModel[];
}

interface From {
  /** Models that may be taken. */
  stock: readonly PartModel[];
  /** Of which a part lies in the Stores, where that is known: what must be ordered comes after. */
  inStores?: ReadonlySet<string> | undefined;
  /** What it flies with, where that is known. */
  pack: PartModel | null;
}

export function choicesFor(assembly: Assembly, cells: Range, { stock, inStores, pack }: From): Choice[] {
  const models = Object.keys(assembly.build.slots).map((slot) => assembly.model(slot)!);
  const waits = ({ id }: PartModel) => Number(inStores !== undefined && !inStores.has(id));
  const inTurn = newestModels(stock).sort((a, b) => waits(a) - waits(b) || a.massG - b.massG);
  const choices = [
    leadFor(models, inTurn, pack),
    capacitorFor(models, inTurn, cells),
    ...onAerialSockets(assembly, inTurn),
    cableFor(models, inTurn),
  ];
  return choices.flatMap((choice) => choice ?? []);
}

/**
 * With the plug of the pack where that is known and there is one. The heaviest carries most; whether a lighter one
 * carries enough the rules say of the whole.
 */
function leadFor(models: readonly PartModel[], inTurn: readonly PartModel[], pack: PartModel | null): Choice | null {
  const all = inTurn.filter(({ kind }) => isBatteryLead(kind));
  const fitting = pack ? all.filter((lead) => plugsInto(lead, pack)) : [];
  const leads = fitting.length > 0 ? fitting : all;
  const [first] = [...leads].sort((a, b) => b.massG - a.massG);
  if (!first || models.some(({ kind }) => isBatteryLead(kind))) return null;
  const others = leads.filter((lead) => lead !== first);
  return { because: 'nothing brings the pack’s plug', count: 1, first, others };
}

/** The lightest that takes up as much as a sheet asks for, and bears the pack when it is full. */
function capacitorFor(models: readonly PartModel[], inTurn: readonly PartModel[], cells: Range): Choice | null {
  const farads = Math.max(0, ...models.map(({ wantsCapacitor }) => wantsCapacitor?.farads ?? 0));
  if (farads === 0 || models.some(isCapacitor)) return null;
  const first = inTurn.filter(isCapacitor).find(({ elements, terminals }) => {
    const held = elements.reduce((sum, element) => sum + (element.is === 'capacitor' ? element.farads : 0), 0);
    const bears = Math.max(...terminals.map(({ withstandV }) => withstandV[1]));
    return held >= farads && bears >= packVolts(cells)[1];
  });
  return first ? { because: `${(farads * 1e6).toFixed(0)} µF are asked for`, count: 1, first, others: [] } : null;
}

/** A plug for a socket of its own family. */
export function plugsInto(one: PartModel, other: PartModel): boolean {
  return one.connectors.some(({ family }) => other.connectors.some((own) => own.family === family));
}

/** Between a part and a transmitter whose sockets are of one family, where neither says that a cable hangs on it. */
function cableFor(models: readonly PartModel[], inTurn: readonly PartModel[]): Choice | null {
  const bare = ({ cable, connectors }: PartModel) =>
    connectors.filter(({ id }) => !cable?.connectors.includes(id)).map(({ family }) => family);
  const units = new Set(models.filter(({ kind }) => isTransmitter(kind)).flatMap(bare));
  const brought = new Set(
    models.filter(({ kind }) => isCable(kind)).flatMap(({ connectors }) => connectors.map(({ family }) => family)),
  );
  for (const first of inTurn.filter(({ kind }) => isCable(kind))) {
    const { family } = first.connectors[0]!;
    const ends = models.filter(
      (model) => !isTransmitter(model.kind) && !isCable(model.kind) && bare(model).includes(family),
    );
    if (!units.has(family) || brought.has(family) || ends.length === 0) continue;
    return { because: `${ends[0]!.name} says of no cable of its own`, count: ends.length, first, others: [] };
  }
  return null;
}
