/** What a plan says of things that are not there, and plugs that sit on nothing or on two things at once. */
import type { Assembly } from '../assembly/assembly';
import { assemble } from '../assembly/assembly';
import type { ConnectorRef, Landing } from '../assembly/build';
import type { Catalogue } from '../catalogue/catalogue';
import { lookUp } from '../terms/lookUp';
import { isTerminalRef } from '../terms/names';
import type { PlanDraft } from './plan';

export interface WrongName {
  /** Where in the plan: `target.wires.W1.ends.1`. */
  path: string;
  reason: string;
}

export type Named = Pick<PlanDraft, 'target' | 'front' | 'links' | 'wishes' | 'pinned'>;

/** A plan all of whose parts the catalogue has: where it points at nothing. */
export function wrongReferences(plan: Named, catalogue: Catalogue): WrongName[] {
  const assembly = assemble(plan.target, catalogue);
  const { wires, contacts, hidden, heats } = plan.target;
  const pads: [path: string, ref: string][] = [
    ...Object.values(wires).flatMap(({ id, tailOf }) => (tailOf ? [at(`target.wires.${id}.tailOf`, tailOf)] : [])),
    ...contacts.flatMap(({ a, b }, index) => [a, b].map((ref) => at(`target.contacts.${index}`, ref))),
    ...Object.keys(hidden).map((ref) => at('target.hidden', ref)),
    ...Object.keys(heats).map((ref) => at('target.heats', ref)),
    ...plan.pinned.flatMap(({ what, of }, index) => (what === 'port' ? [] : [at(`pinned.${index}`, of)])),
  ];
  return [
    ...Object.values(wires).flatMap(({ id, ends }) =>
      ends.flatMap((end, index) => nowhere(assembly, `target.wires.${id}.ends.${index}`, end.at)),
    ),
    ...pads.flatMap(([path, ref]) => missing(path, ref, isTerminalRef(ref) && assembly.terminal(ref))),
    ...wrongMates(assembly),
    ...ofLinks(plan, assembly),
    ...plan.wishes.flatMap(({ of }, index) => missing(`wishes.${index}`, of, lookUp(plan.target.slots, of))),
    ...(plan.front === null ? [] : missing('front', plan.front, lookUp(plan.target.slots, plan.front))),
  ];
}

function at(path: string, ref: string): [string, string] {
  return [path, ref];
}

function missing(path: string, name: string, found: unknown): WrongName[] {
  return found ? [] : [{ path, reason: `there is no ${name}` }];
}

function nowhere({ build, terminal }: Assembly, path: string, end: Landing): WrongName[] {
  if (end.on === 'air') return [];
  if (end.on === 'terminal') return missing(path, end.ref, terminal(end.ref));
  const housing = lookUp(build.housings, end.housing);
  return missing(path, `contact ${end.position} in a housing ${end.housing}`, housing && end.position <= housing.ways);
}

/** A plug sits on one other, never on itself: plugs in a ring have no end to pull. */
function wrongMates({ build, connector }: Assembly): WrongName[] {
  const words = (side: ConnectorRef) =>
    'housing' in side ? `housing ${side.housing}` : `plug ${side.connector} on ${side.slot}`;
  const exists = (side: ConnectorRef) =>
    'housing' in side ? lookUp(build.housings, side.housing) : connector(side.slot, side.connector);
  const taken = new Map<string, string>();
  return Object.entries(build.mates).flatMap(([id, { a, b }]) => {
    const path = `target.mates.${id}`;
    if (words(a) === words(b)) return [{ path, reason: `${words(a)} is mated to itself` }];
    return [a, b].flatMap((side): WrongName[] => {
      const other = taken.get(words(side));
      taken.set(words(side), id);
      if (other) return [{ path, reason: `${words(side)} is mated already, by ${other}` }];
      return missing(path, words(side), exists(side));
    });
  });
}

/** A purpose keeps the names of its wires that are taken out: one that is put back has its purpose again. */
function ofLinks({ links }: Pick<PlanDraft, 'links'>, { model }: Assembly): WrongName[] {
  return links.flatMap(({ ends }, index) =>
    ends.flatMap(({ slot, port }) =>
      missing(
        `links.${index}`,
        `${slot}/${port}`,
        model(slot)?.ports.some(({ id }) => id === port),
      ),
    ),
  );
}
