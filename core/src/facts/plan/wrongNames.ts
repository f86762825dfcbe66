/**
 * What a plan names and does not have: parts that the catalogue lacks, wires to nowhere, entries under another name or
 * twice. And its size.
 */
import type { Catalogue } from '../catalogue/catalogue';
import { pinName } from './planChange';
import type { Named, WrongName } from './wrongReferences';
import { wrongReferences } from './wrongReferences';

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
  return [
    ...renamed,
    ...wrongReferences(plan, catalogue),
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
