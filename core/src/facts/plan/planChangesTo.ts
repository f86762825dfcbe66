/** The changes that make one plan another, path by path: what differs and nothing else. */
import type { Build } from '../assembly/build';
import type { Link, Pinned, PlanDraft } from './plan';
import type { PlanChange } from './planChange';
import { pinName } from './planChange';
import type { Wish } from './wish';
import { sameJson } from '../terms/sameJson';
import { lookUp } from '../terms/lookUp';

interface PlanParts {
  target: Build;
  links: readonly Link[];
  wishes: readonly Wish[];
  pinned: readonly Pinned[];
  cells?: PlanDraft['cells'];
}

/** Changes in an order that can be made; removals first. */
export function planChangesTo(from: PlanDraft, to: PlanParts): PlanChange[] {
  const tables = (['slots', 'housings', 'mates', 'stacks', 'wires'] as const).flatMap((part) =>
    changed(part, from.target[part] ?? {}, to.target[part] ?? {}),
  );
  const named = <T>(list: readonly T[], name: (one: T) => string) =>
    Object.fromEntries(list.map((member) => [name(member), member]));
  const all = [
    ...tables,
    ...changed(
      'links',
      named(from.links, ({ id }) => id),
      named(to.links, ({ id }) => id),
    ),
    ...changed(
      'wishes',
      named(from.wishes, ({ id }) => id),
      named(to.wishes, ({ id }) => id),
    ),
    ...changed('pinned', named(from.pinned, pinName), named(to.pinned, pinName)),
  ];
  const cells: PlanChange[] =
    to.cells && !sameJson(from.cells, to.cells) ? [{ path: 'cells', before: from.cells, after: to.cells }] : [];
  return [...cells, ...all.filter(({ after }) => after === null), ...all.filter(({ after }) => after !== null)];
}

type Part = 'slots' | 'housings' | 'mates' | 'stacks' | 'wires' | 'links' | 'wishes' | 'pinned';

function changed(
  part: Part,
  from: Readonly<Record<string, unknown>>,
  to: Readonly<Record<string, unknown>>,
): PlanChange[] {
  const keys = [...new Set([...Object.keys(from), ...Object.keys(to)])];
  return keys
    .filter((key) => !sameJson(lookUp(from, key), lookUp(to, key)))
    .map((key): PlanChange => ({
      path: `${part}/${key}`,
      before: lookUp(from, key) ?? null,
      after: lookUp(to, key) ?? null,
    }));
}
