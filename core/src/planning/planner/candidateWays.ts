/** What could be changed about a request that cannot be met: less, otherwise, another part, one more, another pack. */
import { assemble } from '../../facts/assembly/assembly';
import type { Build } from '../../facts/assembly/build';
import { emptyBuild } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import { channelPorts, isBatteryLead, isController, isEsc, isMotor } from '../../facts/catalogue/kinds';
import { newestModels } from '../../facts/catalogue/newestModels';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Wish } from '../../facts/plan/wish';
import { enumerated } from '../../facts/terms/enumerated';
import { lookUp } from '../../facts/terms/lookUp';
import type { Slot } from '../../facts/terms/names';
import { placeBeside } from '../conversion/keepDormant';
import { aerialSockets } from './aerialSockets';
import type { Conflict, PlanRequest } from './request';
import { wayLoss, waysOf } from './ways';
import type { WayOut } from './wayOut';

/**
 * What each costs beside its price: joints and mass of one more part, waiting for it, another pack, everything on a
 * board again.
 */
export const lossOf = { add: 2, order: 1, cells: 3, exchange: 4, 'leave out': 6 } as const;
const mostCells = 12;

/** Everything that may be worth a try, cheapest or not; none of it was tried yet. */
export function candidateWays(request: PlanRequest, conflict: Conflict): WayOut[] {
  return [
    ...conflict.wishes.flatMap((id) => lesserWishes(request, id)),
    ...request.pinned.map((pin): WayOut => ({
      do: 'unpin',
      pin,
      loss: 0,
      message: `Let go of ${pin.of} on ${pin.value}`,
    })),
    // Of parts that are alike the one that came last, and rather one that is not in yet.
    ...[...conflict.parts].reverse().map((slot) => leaving(request, partsOfOne(request, slot))),
    ...aerials(request),
    ...(conflict.parts.length > 0 ? [...distributors(request), ...regulators(request), ...otherPacks(request)] : []),
    ...otherParts(request, conflict),
  ];
}

function lesserWishes({ wishes }: PlanRequest, id: string): WayOut[] {
  const wish = wishes.find((one) => one.id === id)!;
  return [
    dropping([wish]),
    ...waysOf[wish.purpose]
      .filter((way) => !wish.ways.includes(way))
      .map((way): WayOut => ({
        do: 'allow',
        wish: id,
        way,
        loss: lookUp(wayLoss, way) ?? 0,
        message: `${id}: ${way}`,
      })),
  ];
}

export function dropping(wishes: readonly Wish[]): WayOut {
  const ids = wishes.map(({ id }) => id);
  const loss = wishes.reduce((sum, { lossIfDropped }) => sum + lossIfDropped, 0);
  return { do: 'drop', wishes: ids, loss, message: `Do without ${enumerated(ids)}` };
}

export function leaving({ built }: { built?: Build | undefined }, parts: readonly Slot[]): WayOut {
  const soldered = parts.filter((slot) => built && lookUp(built.slots, slot)).length;
  const loss = lossOf['leave out'] * parts.length + soldered;
  return { do: 'leave out', parts, loss, message: `Leave out ${enumerated(parts)}` };
}

/** A motor goes with the ESC that drives nothing else. */
export function partsOfOne({ slots, catalogue }: PlanRequest, slot: Slot): Slot[] {
  const model = (one: Slot) => catalogue.model(lookUp(slots, one)!);
  const number = /\d+$/.exec(slot)?.[0];
  const partner = (one: Slot, other: Slot) => isMotor(model(one).kind) && isSingleEsc(model(other));
  const isSingleEsc = (one: PartModel) => isEsc(one.kind) && channelPorts(one).length === 1;
  const together = Object.keys(slots).find(
    (other) => /\d+$/.exec(other)?.[0] === number && (partner(slot, other) || partner(other, slot)),
  );
  return together && number ? [slot, together] : [slot];
}

/** One more part that makes a supply: a regulator of any volts. */
function regulators(request: PlanRequest): WayOut[] {
  return added(request, { kind: 'regulator', stem: 'REG', count: 1 });
}

/** Battery pads for ESCs that stand by themselves, where nothing shares the pack out to them. */
function distributors(request: PlanRequest): WayOut[] {
  const models = Object.values(request.slots).map((fitted) => request.catalogue.model(fitted));
  const isShared = models.some(({ kind }) => kind === 'distribution');
  const alone = models.filter(({ kind }) => isEsc(kind)).length;
  return isShared || alone < 2 ? [] : added(request, { kind: 'distribution', stem: 'PDB', count: 1 });
}

/** An aerial for every socket of a transmitter that has none. */
function aerials(request: PlanRequest): WayOut[] {
  const { open } = aerialSockets(assemble({ ...emptyBuild, slots: request.slots }, request.catalogue));
  return open.length > 0 ? added(request, { kind: 'antenna', stem: 'ANT', count: open.length }) : [];
}

/** So many more of each model of a kind; what lies in the Stores first. */
function added(
  { slots, catalogue, inStores }: PlanRequest,
  { kind, stem, count }: { kind: PartModel['kind']; stem: Slot; count: number },
): WayOut[] {
  const free: Slot[] = [];
  while (free.length < count) {
    const taken = { ...slots, ...Object.fromEntries(free.map((slot) => [slot, Object.values(slots)[0]!])) };
    free.push(lookUp(taken, stem) ? placeBeside(stem, taken) : stem);
  }
  const byMass = newest(catalogue, kind).sort((a, b) => a.massG - b.massG);
  return byMass.map(({ id, name, revision }) => ({
    do: 'add',
    slots: free,
    model: id,
    revision,
    loss: lossOf.add * count + orderLoss(id, inStores),
    message: `Add ${name} as ${free.join(', ')}${storesWords(id, inStores)}`,
  }));
}

/** What the shop has not got must be waited for. */
export function orderLoss(id: string, inStores: PlanRequest['inStores']): number {
  return inStores && !inStores.has(id) ? lossOf.order : 0;
}

export function storesWords(id: string, inStores: PlanRequest['inStores']): string {
  if (!inStores) return '';
  return inStores.has(id) ? ', in the Stores' : ', to be ordered';
}

/** Another number of cells, the nearest first. */
function otherPacks({ cells: [low, high] }: PlanRequest): WayOut[] {
  return Array.from({ length: mostCells }, (_, index) => index + 1)
    .filter((series) => series !== high || low !== high)
    .sort((a, b) => Math.abs(a - high) - Math.abs(b - high))
    .map((series, place) => ({
      do: 'cells',
      cells: [series, series],
      loss: lossOf.cells + place / mostCells,
      message: `A pack of ${series === 1 ? 'one cell' : `${series} cells`}`,
    }));
}

/** Another controller, one that shares the pack out, or one that clashes; where several are alike, all of them. */
function otherParts({ slots, catalogue, wishes, inStores }: PlanRequest, { wishes: clash, parts }: Conflict): WayOut[] {
  const model = (slot: Slot) => catalogue.model(lookUp(slots, slot)!);
  const clashing = new Set([...parts, ...clash.map((id) => wishes.find((wish) => wish.id === id)!.of)]);
  const shares = (kind: PartModel['kind']) => isEsc(kind) || kind === 'distribution';
  const serves = ({ kind }: PartModel) => isController(kind) || (parts.length > 0 && shares(kind));
  const worth = Object.keys(slots).filter(
    (slot) => (serves(model(slot)) || clashing.has(slot)) && !isBatteryLead(model(slot).kind),
  );
  const tried = new Set<string>();
  return worth.flatMap((slot): WayOut[] => {
    const own = lookUp(slots, slot)!.model;
    if (tried.has(own)) return [];
    tried.add(own);
    const alike = worth.filter((other) => lookUp(slots, other)!.model === own);
    const groups = alike.length > 1 ? [[slot], alike] : [[slot]];
    return newest(catalogue, model(slot).kind)
      .filter(({ id }) => id !== own)
      .flatMap(({ id, name, revision }) =>
        groups.map((group): WayOut => ({
          do: 'exchange',
          slots: group,
          model: id,
          revision,
          loss: lossOf.exchange + (group.length - 1) / 100 + orderLoss(id, inStores),
          message: `Take ${name} as ${group.join(', ')}${storesWords(id, inStores)}`,
        })),
      );
  });
}

function newest({ models }: Catalogue, kind: PartModel['kind']): PartModel[] {
  return newestModels(models.filter((model) => model.kind === kind));
}
