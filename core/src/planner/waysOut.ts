/** Ways out of a conflict, each priced by what is lost: drop a wish, take a way that loses something, or another board. */
import type { Catalogue } from '../catalogue/catalogue';
import type { PartModel } from '../catalogue/partModel';
import type { Slot } from '../names';
import { waysOf } from './options';
import type { Conflict, PlanRequest } from './planWiring';
import { planWiring, prepare, feasible } from './planWiring';
import type { Solve } from './solver';

export type WayOut =
  | { do: 'drop'; wish: string; loss: number; says: string }
  | { do: 'allow'; wish: string; way: string; loss: number; says: string }
  | { do: 'unpin'; of: string; loss: number; says: string }
  | { do: 'exchange'; slot: Slot; model: string; revision: number; loss: number; says: string };

/** What another board costs beside its price: everything on it is made again. */
const exchangeLoss = 4;

/** Ways out, cheapest first. Each was tried: with it a wiring exists. */
export function waysOut(request: PlanRequest, conflict: Conflict, solve: Solve): WayOut[] {
  const found: WayOut[] = [];
  const works = (changed: PlanRequest) => planWiring(changed, solve).is === 'planned';
  for (const id of conflict.wishes) {
    const wish = request.wishes.find((one) => one.id === id)!;
    const without: PlanRequest = { ...request, wishes: request.wishes.map((one) => (one === wish ? { ...one, must: false } : one)) };
    if (works(without)) found.push({ do: 'drop', wish: id, loss: wish.lossIfDropped, says: `Do without ${id}` });
    for (const way of waysOf[wish.purpose].filter((one) => !wish.ways.includes(one))) {
      const wider: PlanRequest = { ...request, wishes: request.wishes.map((one) => (one === wish ? { ...one, ways: [...one.ways, way] } : one)) };
      const result = planWiring(wider, solve);
      if (result.is === 'planned') found.push({ do: 'allow', wish: id, way, loss: result.cost.loss, says: `${id}: ${way}` });
    }
  }
  for (const pin of request.pinned) {
    const free: PlanRequest = { ...request, pinned: request.pinned.filter((one) => one !== pin) };
    if (works(free)) found.push({ do: 'unpin', of: pin.of, loss: 0, says: `Let go of ${pin.of} on ${pin.value}` });
  }
  return [...found, ...otherParts(request, conflict, solve)].sort((a, b) => a.loss - b.loss);
}

/** Another controller, or another of the parts whose wishes clash, from the catalogue. */
function otherParts(request: PlanRequest, conflict: Conflict, solve: Solve): WayOut[] {
  const kindOf = (slot: Slot) => request.catalogue.model(request.slots[slot]!).kind;
  const clashing = new Set(conflict.wishes.map((id) => request.wishes.find((one) => one.id === id)!.of));
  const slots = Object.keys(request.slots).filter((slot) => ['controller', 'single board'].includes(kindOf(slot)) || clashing.has(slot));
  return slots.flatMap((slot) => {
    const own = request.slots[slot]!;
    return newest(request.catalogue, kindOf(slot)).filter(({ id }) => id !== own.model).flatMap((model): WayOut[] => {
      const changed = { ...request, slots: { ...request.slots, [slot]: { ...own, model: model.id, revision: model.revision, part: null } } };
      const prepared = prepare(changed);
      const musts = new Set(request.wishes.filter(({ must }) => must).map(({ id }) => id));
      if (!feasible(prepared, musts, solve) || planWiring(changed, solve).is !== 'planned') return [];
      return [{ do: 'exchange', slot, model: model.id, revision: model.revision, loss: exchangeLoss, says: `Take ${model.name} as ${slot}` }];
    });
  });
}

function newest(catalogue: Catalogue, kind: PartModel['kind']): PartModel[] {
  const byId = new Map<string, PartModel>();
  for (const model of catalogue.models) if (model.kind === kind && (byId.get(model.id)?.revision ?? 0) < model.revision) byId.set(model.id, model);
  return [...byId.values()];
}
