/**
 * One change of a plan. Before and after make it its own undo, its own merge unit and its own history.
 */
import type { Pinned, Plan } from './plan';
import { sameJson } from '../terms/sameJson';
import { lookUp } from '../terms/lookUp';

export interface PlanChange {
  path:
    | `slots/${string}`
    | `wires/${string}`
    | `housings/${string}`
    | `mates/${string}`
    | `stacks/${string}`
    | `links/${string}`
    | `wishes/${string}`
    | `pinned/${string}`
    | `schools/${string}`
    | 'cells';
  before: unknown;
  after: unknown;
}

export type PlanChangeResult = { ok: true; plan: Plan } | { ok: false; conflict: PlanChange };

/**
 * The plan with the changes made, version one higher; or the first change whose `before` no longer holds.
 * A missing entry is null on either side.
 */
export function applyPlanChanges(plan: Plan, changes: readonly PlanChange[]): PlanChangeResult {
  let next = plan;
  for (const change of changes) {
    if (!sameJson(valueAt(next, change.path), change.before)) return { ok: false, conflict: change };
    next = withValue(next, change.path, change.after);
  }
  return { ok: true, plan: { ...next, version: plan.version + 1 } };
}

/** The changes that undo these, in the order in which they must be made. */
export function reversePlanChanges(changes: readonly PlanChange[]): PlanChange[] {
  return changes.map(({ path, before, after }) => ({ path, before: after, after: before })).reverse();
}

/** What stands at a path of the plan; null when nothing does. */
export function valueAt(plan: Plan, path: PlanChange['path']): unknown {
  if (path === 'cells') return plan.cells;
  const { part, key } = splitPath(path);
  if (part in lists)
    return plan[part as ListName].find((member) => lists[part as ListName](member as never) === key) ?? null;
  if (part === 'schools') return lookUp(plan.schools, key) ?? null;
  return lookUp((plan.target[part as TargetPart] ?? {}) as Record<string, unknown>, key) ?? null;
}

function withValue(plan: Plan, path: PlanChange['path'], value: unknown): Plan {
  if (path === 'cells') return { ...plan, cells: value as Plan['cells'] };
  const { part, key } = splitPath(path);
  if (part in lists) {
    const name = part as ListName;
    const table = Object.fromEntries(plan[name].map((member) => [lists[name](member as never), member as unknown]));
    return { ...plan, [name]: Object.values(withKey(table, key, value)) };
  }
  if (part === 'schools') return { ...plan, schools: withKey(plan.schools, key, value as string | null) };
  const piece = part as TargetPart;
  return {
    ...plan,
    target: { ...plan.target, [piece]: withKey((plan.target[piece] ?? {}) as Record<string, unknown>, key, value) },
  };
}

type TargetPart = 'slots' | 'wires' | 'housings' | 'mates' | 'stacks';
type ListName = 'links' | 'wishes' | 'pinned';

/** Lists of a plan by what names their entries. */
const lists: { [Name in ListName]: (one: Plan[Name][number]) => string } = {
  links: ({ id }) => id,
  wishes: ({ id }) => id,
  pinned: pinName,
};

/** What a choice by hand is called in a path: `terminal RX.TX`. */
export function pinName({ what, of }: Pinned): string {
  return `${what} ${of}`;
}

function splitPath(path: string): { part: TargetPart | ListName | 'schools'; key: string } {
  const slash = path.indexOf('/');
  return { part: path.slice(0, slash) as TargetPart, key: path.slice(slash + 1) };
}

function withKey<T>(table: Readonly<Record<string, T>>, key: string, value: T | null): Record<string, T> {
  if (value !== null) return { ...table, [key]: value };
  const { [key]: _gone, ...rest } = table;
  return rest;
}
