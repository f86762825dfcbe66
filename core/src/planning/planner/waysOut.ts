/**
 * Ways out of a conflict, each priced by what is lost: do without a wish or a part, take a way that loses something,
 * another part in its place or one more, another pack. Each was tried: planned, and judged by all rules.
 */
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Range, Slot } from '../../facts/terms/names';
import type { Pinned } from '../../facts/plan/plan';
import { placeBeside } from '../conversion/keepDormant';
import { isBatteryLead, isController, isEsc, isMotor } from '../../facts/catalogue/kinds';
import type { Solve } from '../../facts/terms/solver';
import { lookUp } from '../../facts/terms/lookUp';
import type { Wish } from '../../facts/plan/wish';
import { attempt, feasible } from './attempt';
import { clashOfParts } from './conflict';
import type { Conflict, PlanRequest } from './request';
import { mustsOf, withMusts, withoutParts } from './restricted';
import { wayLoss, waysOf } from './ways';

export type WayOut = { loss: number; message: string } & (
  | { do: 'drop'; wishes: readonly string[] }
  | { do: 'allow'; wish: string; way: string }
  | { do: 'unpin'; pin: Pinned }
  | { do: 'exchange'; slots: readonly Slot[]; model: string; revision: number }
  | { do: 'add'; slot: Slot; model: string; revision: number }
  | { do: 'leave out'; parts: readonly Slot[] }
  | { do: 'cells'; cells: Range }
);

/** What each costs beside its price: joints and mass of one more part, another pack, everything on a board again. */
const lossOf = { add: 2, cells: 3, exchange: 4, 'leave out': 6 } as const;
/** So many are enough to choose from. */
const mostWays = 8;
const mostCells = 12;

/**
 * Ways out of this conflict, cheapest first, each of which lets the whole be planned. Where one thing less is not
 * enough, as many are left out together as it takes.
 */
export function waysOut(request: PlanRequest, conflict: Conflict, solve: Solve): WayOut[] {
  const byLoss = (ways: readonly WayOut[]) => [...ways].sort((a, b) => a.loss - b.loss);
  const found: WayOut[] = [];
  for (const way of byLoss(candidates(request, conflict))) {
    if (found.length === mostWays) break;
    const changed = withWayOut(way, request);
    if (!feasible(changed, solve)) continue;
    if (attempt(changed, solve).is === 'planned') found.push(way);
  }
  const isOfOne = found.some((way) => way.do === 'drop' || way.do === 'leave out');
  return isOfOne ? found : byLoss([...found, ...togetherLess(request, solve)]);
}

/** What must be done without together: the wishes that cost least, after the parts that cannot be wired at all. */
function togetherLess(request: PlanRequest, solve: Solve): WayOut[] {
  const parts: Slot[] = [];
  let left = request;
  for (let round = 0; round < Object.keys(request.slots).length; round++) {
    const unasked = withMusts(left, new Set());
    const optional = attempt(unasked, solve);
    if (optional.is === 'planned') {
      const dropped = optional.wishes.filter(({ wish, way }) => way === null && mustsOf(left).has(wish.id));
      return [
        ...(parts.length > 0 ? [leaving(request, parts)] : []),
        ...(dropped.length > 0 ? [dropping(dropped.map(({ wish }) => wish))] : []),
      ].slice(0, 1);
    }
    if (optional.is === 'gave up') return [];
    const rule = optional.is === 'refused' ? optional.finding.rule : null;
    const { parts: clashing } = clashOfParts(unasked, { solve, rule, onProgress: () => undefined });
    const last = clashing.at(-1);
    if (!last) return [];
    const gone = partsOfOne(left, last);
    parts.push(...gone);
    left = withoutParts(left, new Set(gone));
  }
  return [];
}

/** The request once a way out is taken. */
export function withWayOut<T extends Pick<PlanRequest, 'slots' | 'wishes' | 'pinned' | 'cells'>>(
  way: WayOut,
  request: T,
): T {
  const { slots, wishes, pinned } = request;
  switch (way.do) {
    case 'drop':
      return {
        ...request,
        wishes: wishes.map((wish) => (way.wishes.includes(wish.id) ? { ...wish, must: false } : wish)),
      };
    case 'allow':
      return {
        ...request,
        wishes: wishes.map((wish) => (wish.id === way.wish ? { ...wish, ways: [...wish.ways, way.way] } : wish)),
      };
    case 'unpin':
      return { ...request, pinned: pinned.filter(({ what, of }) => what !== way.pin.what || of !== way.pin.of) };
    case 'exchange': {
      const { model, revision } = way;
      const others = way.slots.map((slot) => [slot, { ...lookUp(slots, slot)!, model, revision, part: null }] as const);
      return { ...request, slots: { ...slots, ...Object.fromEntries(others) } };
    }
    case 'add': {
      const fitted = { model: way.model, revision: way.revision, part: null, pose: null };
      return { ...request, slots: { ...slots, [way.slot]: fitted } };
    }
    case 'leave out':
      return withoutParts(request, new Set(way.parts));
    case 'cells':
      return { ...request, cells: way.cells };
  }
}

function candidates(request: PlanRequest, conflict: Conflict): WayOut[] {
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
    ...(conflict.parts.length > 0 ? [...oneMore(request), ...otherPacks(request)] : []),
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

function dropping(wishes: readonly Wish[]): WayOut {
  const ids = wishes.map(({ id }) => id);
  const loss = wishes.reduce((sum, { lossIfDropped }) => sum + lossIfDropped, 0);
  return { do: 'drop', wishes: ids, loss, message: `Do without ${ids.join(', ')}` };
}

function leaving({ built }: PlanRequest, parts: readonly Slot[]): WayOut {
  const soldered = parts.filter((slot) => built && lookUp(built.slots, slot)).length;
  const loss = lossOf['leave out'] * parts.length + soldered;
  return { do: 'leave out', parts, loss, message: `Leave out ${parts.join(', ')}` };
}

/** A motor goes with the ESC that drives nothing else. */
function partsOfOne({ slots, catalogue }: PlanRequest, slot: Slot): Slot[] {
  const model = (one: Slot) => catalogue.model(lookUp(slots, one)!);
  const number = /\d+$/.exec(slot)?.[0];
  const drives = ({ ports }: PartModel) => ports.filter(({ kind, way }) => kind === 'motorPhase' && way === 'gives');
  const partner = (one: Slot, other: Slot) => isMotor(model(one).kind) && isSingleEsc(model(other));
  const isSingleEsc = (one: PartModel) => isEsc(one.kind) && drives(one).length === 1;
  const together = Object.keys(slots).find(
    (other) => /\d+$/.exec(other)?.[0] === number && (partner(slot, other) || partner(other, slot)),
  );
  return together && number ? [slot, together] : [slot];
}

/** One more part that makes a supply: a regulator of any volts. */
function oneMore({ slots, catalogue }: PlanRequest): WayOut[] {
  const slot = lookUp(slots, 'REG') ? placeBeside('REG', slots) : 'REG';
  return newest(catalogue, 'regulator').map(({ id, name, revision }) => ({
    do: 'add',
    slot,
    model: id,
    revision,
    loss: lossOf.add,
    message: `Add ${name} as ${slot}`,
  }));
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

/** Another controller, or another of the parts that clash; where several are alike, all of them. */
function otherParts({ slots, catalogue, wishes }: PlanRequest, { wishes: clash, parts }: Conflict): WayOut[] {
  const model = (slot: Slot) => catalogue.model(lookUp(slots, slot)!);
  const clashing = new Set([...parts, ...clash.map((id) => wishes.find((wish) => wish.id === id)!.of)]);
  const serves = ({ kind }: PartModel) => isController(kind) || (parts.length > 0 && isEsc(kind));
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
          loss: lossOf.exchange + (group.length - 1) / 100,
          message: `Take ${name} as ${group.join(', ')}`,
        })),
      );
  });
}

function newest(catalogue: Catalogue, kind: PartModel['kind']): PartModel[] {
  const byId = new Map<string, PartModel>();
  for (const model of catalogue.models)
    if (model.kind === kind && (byId.get(model.id)?.revision ?? 0) < model.revision) byId.set(model.id, model);
  return [...byId.values()];
}
