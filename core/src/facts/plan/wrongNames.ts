/**
 * What a plan names and does not have: parts that the catalogue lacks, wires to nowhere, entries under another name or
 * twice. And its size.
 */
import type { Catalogue } from '../catalogue/catalogue';
import type { ConnectorRef } from '../assembly/build';
import type { PlanDraft } from './plan';
import { pinName } from './planChange';
import { assemble } from '../assembly/assembly';
import { lookUp } from '../terms/lookUp';

export interface WrongName {
  /** Where in the plan: `target.wires.W1.ends.1`. */
  path: string;
  reason: string;
}

type Named = Pick<PlanDraft, 'target' | 'links' | 'wishes' | 'pinned'>;

/** More than any aircraft has; a plan beyond it would keep everybody waiting. */
const most = { slots: 100, wires: 1000, housings: 300, mates: 300 } as const;
const maxInList = 300;

/** Empty when every name means something and stands once. */
export function wrongNames(plan: Named, catalogue: Catalogue): WrongName[] {
  const { target } = plan;
  const large = tooMany(plan);
  if (large.length > 0) return large;
  const unknown = Object.entries(target.slots)
    .filter(([, fitted]) => !catalogue.has(fitted))
    .map(([slot, { model, revision }]) => ({
      path: `target.slots.${slot}`,
      reason: `the catalogue has no part model ${model} revision ${revision}`,
    }));
  if (unknown.length > 0) return unknown;
  const renamed = [
    ...Object.entries(target.wires).map(([key, { id }]) => ['wires', key, id] as const),
    ...Object.entries(target.housings).map(([key, { id }]) => ['housings', key, id] as const),
  ]
    .filter(([, key, id]) => key !== id)
    .map(([table, key, id]) => ({ path: `target.${table}.${key}`, reason: `is called ${id} inside` }));
  const nowhere = Object.values(target.wires).flatMap(({ id, ends }) =>
    ends.flatMap(({ at }, end): WrongName[] => {
      const path = `target.wires.${id}.ends.${end}`;
      if (at.on === 'terminal')
        return assemble(target, catalogue).terminal(at.ref) ? [] : [{ path, reason: `there is no ${at.ref}` }];
      if (at.on === 'air') return [];
      const housing = lookUp(target.housings, at.housing);
      return housing && at.position <= housing.ways
        ? []
        : [{ path, reason: `there is no contact ${at.position} in a housing ${at.housing}` }];
    }),
  );
  const exists = (side: ConnectorRef) =>
    'housing' in side
      ? Object.hasOwn(target.housings, side.housing)
      : Object.hasOwn(target.slots, side.slot) &&
        catalogue.model(lookUp(target.slots, side.slot)!).connectors.some(({ id }) => id === side.connector);
  const unplugged = Object.entries(target.mates).flatMap(([id, mate]) =>
    [mate.a, mate.b]
      .filter((side) => !exists(side))
      .map((side) => ({
        path: `target.mates.${id}`,
        reason: `there is no ${'housing' in side ? `housing ${side.housing}` : `plug ${side.connector} on ${side.slot}`}`,
      })),
  );
  return [
    ...renamed,
    ...nowhere,
    ...unplugged,
    ...twice(
      'links',
      plan.links.map(({ id }) => id),
    ),
    ...twice(
      'wishes',
      plan.wishes.map(({ id }) => id),
    ),
    ...twice('pinned', plan.pinned.map(pinName)),
  ];
}

function tooMany({ target, links, wishes, pinned }: Named): WrongName[] {
  const said = (path: string, count: number, limit: number) =>
    count > limit ? [{ path, reason: `${count} are more than ${limit}` }] : [];
  return [
    ...(Object.keys(most) as (keyof typeof most)[]).flatMap((part) =>
      said(`target.${part}`, Object.keys(target[part]).length, most[part]),
    ),
    ...said('links', links.length, maxInList),
    ...said('wishes', wishes.length, maxInList),
    ...said('pinned', pinned.length, maxInList),
  ];
}

/** Entries of a list that have the name of one before them. */
function twice(list: string, names: readonly string[]): WrongName[] {
  return names.flatMap((name, index) =>
    names.indexOf(name) < index ? [{ path: `${list}.${index}`, reason: `${name} stands there already` }] : [],
  );
}
