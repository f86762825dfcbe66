/**
 * Ways out of a conflict, each priced by what is lost: drop a wish, take a way that loses something, or another board.
 */
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Slot } from '../../facts/terms/names';
import type { Pinned } from '../../facts/plan/plan';
import type { Conflict, PlanRequest } from './planWiring';
import { feasible, prepare } from './planWiring';
import type { Solve } from '../../facts/terms/solver';
import { isController } from '../../facts/catalogue/kinds';
import { wayLoss, waysOf } from './ways';
import { lookUp } from '../../facts/terms/lookUp';

export type WayOut =
  | { do: 'drop'; wish: string; loss: number; message: string }
  | { do: 'allow'; wish: string; way: string; loss: number; message: string }
  | { do: 'unpin'; pin: Pinned; loss: number; message: string }
  | { do: 'exchange'; slot: Slot; model: string; revision: number; loss: number; message: string };

/** What another board costs beside its price: everything on it is made again. */
const exchangeLoss = 4;

/**
 * Ways out of this conflict, cheapest first. Each was tried: with it these wishes can be met together; others may still
 * clash.
 */
export function waysOut(request: PlanRequest, conflict: Conflict, solve: Solve): WayOut[] {
  const found: WayOut[] = [];
  const musts = new Set(conflict.wishes);
  const works = (changed: PlanRequest) => feasible(prepare(changed), musts, solve);
  for (const id of conflict.wishes) {
    const wish = request.wishes.find((wish) => wish.id === id)!;
    // The set is minimal: without any one of its wishes the others can be met.
    found.push({ do: 'drop', wish: id, loss: wish.lossIfDropped, message: `Do without ${id}` });
    for (const way of waysOf[wish.purpose].filter((way) => !wish.ways.includes(way))) {
      const wider: PlanRequest = {
        ...request,
        wishes: request.wishes.map((asked) => (asked === wish ? { ...asked, ways: [...asked.ways, way] } : asked)),
      };
      if (works(wider))
        found.push({ do: 'allow', wish: id, way, loss: lookUp(wayLoss, way) ?? 0, message: `${id}: ${way}` });
    }
  }
  for (const pin of request.pinned) {
    const free: PlanRequest = { ...request, pinned: request.pinned.filter((pinned) => pinned !== pin) };
    if (works(free)) found.push({ do: 'unpin', pin, loss: 0, message: `Let go of ${pin.of} on ${pin.value}` });
  }
  return [...found, ...otherParts(request, conflict, works)].sort((a, b) => a.loss - b.loss);
}

/** Another controller, or another of the parts whose wishes clash, from the catalogue. */
function otherParts(request: PlanRequest, conflict: Conflict, works: (changed: PlanRequest) => boolean): WayOut[] {
  const kindOf = (slot: Slot) => request.catalogue.model(lookUp(request.slots, slot)!).kind;
  const clashing = new Set(conflict.wishes.map((id) => request.wishes.find((wish) => wish.id === id)!.of));
  // Parts of one model would all be tried alike.
  const tried = new Set<string>();
  const slots = Object.keys(request.slots).filter((slot) => {
    const { model } = lookUp(request.slots, slot)!;
    const worth = (isController(kindOf(slot)) || clashing.has(slot)) && !tried.has(model);
    if (worth) tried.add(model);
    return worth;
  });
  return slots.flatMap((slot) => {
    const own = lookUp(request.slots, slot)!;
    return newest(request.catalogue, kindOf(slot))
      .filter(({ id }) => id !== own.model)
      .flatMap((model): WayOut[] => {
        const changed = {
          ...request,
          slots: { ...request.slots, [slot]: { ...own, model: model.id, revision: model.revision, part: null } },
        };
        return works(changed)
          ? [
              {
                do: 'exchange',
                slot,
                model: model.id,
                revision: model.revision,
                loss: exchangeLoss,
                message: `Take ${model.name} as ${slot}`,
              },
            ]
          : [];
      });
  });
}

function newest(catalogue: Catalogue, kind: PartModel['kind']): PartModel[] {
  const byId = new Map<string, PartModel>();
  for (const model of catalogue.models)
    if (model.kind === kind && (byId.get(model.id)?.revision ?? 0) < model.revision) byId.set(model.id, model);
  return [...byId.values()];
}
