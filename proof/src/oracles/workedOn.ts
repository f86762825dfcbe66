/**
 * What work on an aircraft had its hands on, and which faults it can have brought about: worked out from the builds
 * before and after each act; shares no code with what it judges.
 */
import type { Act, Build, Catalogue, ListedFault, PartModel } from '@junctor/core';
import type { Injected } from './injector/aircraft';

/** One act with the quad before and after it. */
export interface Done {
  act: Act;
  before: Build;
  after: Build;
}

export interface WorkedOn {
  /** Pads and pins. */
  pads: Set<string>;
  wires: Set<string>;
  mates: Set<string>;
  slots: Set<string>;
}

export function workedOn(work: readonly Done[], catalogue: Catalogue): WorkedOn {
  const on: WorkedOn = { pads: new Set(), wires: new Set(), mates: new Set(), slots: new Set() };
  for (const { act, before, after } of work) {
    for (const build of [before, after]) {
      if ('wire' in act) {
        on.wires.add(act.wire);
        (build.wires[act.wire]?.ends ?? []).forEach(({ at }, end) => {
          if (at.on === 'terminal' && ('end' in act ? act.end === end : true)) on.pads.add(at.ref);
        });
      }
      if (act.do === 'fit' || act.do === 'take off') {
        on.slots.add(act.slot);
        const model = modelIn(build, act.slot, catalogue);
        for (const { id } of model?.terminals ?? []) on.pads.add(`${act.slot}.${id}`);
      }
      if (act.do === 'mate' || act.do === 'unmate') {
        on.mates.add(act.id);
        const mate = build.mates[act.id];
        for (const side of mate ? [mate.a, mate.b] : []) {
          if ('slot' in side) for (const pin of pinsOf(build, side, catalogue)) on.pads.add(`${side.slot}.${pin}`);
          else
            for (const wire of Object.values(build.wires))
              if (wire.ends.some(({ at }) => at.on === 'cavity' && at.housing === side.housing)) on.wires.add(wire.id);
        }
      }
    }
  }
  return on;
}

function modelIn(build: Build, slot: string, catalogue: Catalogue): PartModel | undefined {
  const fitted = build.slots[slot];
  return fitted && catalogue.model(fitted);
}

function pinsOf(build: Build, side: { slot: string; connector: string }, catalogue: Catalogue): readonly string[] {
  return modelIn(build, side.slot, catalogue)?.connectors.find(({ id }) => id === side.connector)?.pins ?? [];
}

/** Whether a fault that was put into a good build lies where the work was. */
export function isNear(
  on: WorkedOn,
  { aircraft: { build, bridges, broken } }: Injected,
  good: Build,
  catalogue: Catalogue,
): boolean {
  const moved = Object.values(good.wires).flatMap((wire) =>
    wire.ends.flatMap((end, index) =>
      JSON.stringify(build.wires[wire.id]?.ends[index]?.at) === JSON.stringify(end.at) ? [] : [{ wire: wire.id, end }],
    ),
  );
  const plugs = Object.keys(good.mates).filter(
    (id) => JSON.stringify(build.mates[id]) !== JSON.stringify(good.mates[id]),
  );
  const gone = Object.keys(good.slots).filter((slot) => !build.slots[slot]);
  // What went with a part is not by itself wrong.
  if (gone.length > 0) return gone.some((slot) => on.slots.has(slot));
  return (
    bridges.some(({ a, b }) => on.pads.has(a) || on.pads.has(b)) ||
    broken.some(({ slot, element }) => isInsideNear(on, { slot, element }, good, catalogue)) ||
    moved.some(({ wire, end: { at } }) => on.wires.has(wire) || (at.on === 'terminal' && on.pads.has(at.ref))) ||
    plugs.some((id) => on.mates.has(id))
  );
}

/** The same for a fault of a list, by its place. */
export function isSiteNear(on: WorkedOn, { site }: ListedFault, good: Build, catalogue: Catalogue): boolean {
  if ('between' in site) return site.between.some((ref) => on.pads.has(ref));
  if ('mate' in site) return on.mates.has(site.mate);
  if ('slot' in site)
    return site.element === undefined
      ? on.slots.has(site.slot)
      : isInsideNear(on, { slot: site.slot, element: site.element }, good, catalogue);
  const frames = [...on.slots].filter((slot) => modelIn(good, slot, catalogue)?.kind === 'frame');
  if (site.end === undefined && frames.length > 0) return true;
  const also = site.for?.slice(0, -2);
  const ends = (good.wires[site.wire]?.ends ?? []).filter((_, index) => (site.end ?? index) === index);
  return (
    on.wires.has(site.wire) ||
    (also !== undefined && on.wires.has(also)) ||
    ends.some(({ at }) => at.on === 'terminal' && on.pads.has(at.ref))
  );
}

/** In a part that was handled, or on a pad that an iron was at; ground is on all of them and brings no volts. */
function isInsideNear(
  on: WorkedOn,
  { slot, element }: { slot: string; element: string },
  good: Build,
  catalogue: Catalogue,
): boolean {
  if (on.slots.has(slot)) return true;
  const model = modelIn(good, slot, catalogue)!;
  const own = model.elements.find(({ id }) => id === element)!;
  const { ground: _ground, ...ends } = own as typeof own & { ground?: string };
  const nodes: readonly unknown[] = Object.values(ends);
  return model.terminals.some(
    ({ id, node, roles }) =>
      nodes.includes(node) && roles.every(({ is }) => is !== 'ground') && on.pads.has(`${slot}.${id}`),
  );
}
