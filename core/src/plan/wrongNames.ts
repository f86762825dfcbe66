/** What a plan names and does not have: parts that the catalogue lacks, wires to nowhere, entries under another name. */
import type { Catalogue } from '../catalogue/catalogue';
import { findTerminal } from '../catalogue/catalogue';
import type { ConnectorRef } from '../build/build';
import type { Plan } from './plan';

export interface WrongName {
  /** Where in the plan: `target.wires.W1.ends.1`. */
  path: string;
  reason: string;
}

/** Empty when every name means something. */
export function wrongNames({ target }: Pick<Plan, 'target'>, catalogue: Catalogue): WrongName[] {
  const unknown = Object.entries(target.slots).filter(([, fitted]) => !catalogue.has(fitted))
    .map(([slot, { model, revision }]) => ({ path: `target.slots.${slot}`, reason: `the catalogue has no part model ${model} revision ${revision}` }));
  if (unknown.length > 0) return unknown;
  const renamed = [...Object.entries(target.wires).map(([key, { id }]) => ['wires', key, id] as const), ...Object.entries(target.housings).map(([key, { id }]) => ['housings', key, id] as const)]
    .filter(([, key, id]) => key !== id).map(([table, key, id]) => ({ path: `target.${table}.${key}`, reason: `is called ${id} inside` }));
  const nowhere = Object.values(target.wires).flatMap(({ id, ends }) => ends.flatMap(({ at }, end): WrongName[] => {
    const path = `target.wires.${id}.ends.${end}`;
    if (at.on === 'terminal') return findTerminal(target, at.ref, catalogue) ? [] : [{ path, reason: `there is no ${at.ref}` }];
    if (at.on === 'air') return [];
    const housing = target.housings[at.housing];
    return housing && at.position <= housing.ways ? [] : [{ path, reason: `there is no contact ${at.position} in a housing ${at.housing}` }];
  }));
  const exists = (side: ConnectorRef) => ('housing' in side ? side.housing in target.housings : side.slot in target.slots && catalogue.model(target.slots[side.slot]!).connectors.some(({ id }) => id === side.connector));
  const unplugged = Object.entries(target.mates).flatMap(([id, mate]) => [mate.a, mate.b].filter((side) => !exists(side))
    .map((side) => ({ path: `target.mates.${id}`, reason: `there is no ${'housing' in side ? `housing ${side.housing}` : `plug ${side.connector} on ${side.slot}`}` })));
  return [...renamed, ...nowhere, ...unplugged];
}
