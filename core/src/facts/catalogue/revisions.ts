/** Two revisions of one model: what a new one may do, and what it changes. */
import type { ModelMistake } from './mistake';
import { mistake } from './mistake';
import type { PartModel } from './partModel';
import { lookUp } from '../terms/lookUp';

/**
 * A revision follows the one before it; it may add terminals, never rename or drop one: that would be another model.
 */
export function revisionMistakes(before: PartModel | null, next: PartModel): ModelMistake[] {
  if (!before)
    return next.revision === 1
      ? []
      : [mistake('revision', 'revision', `${next.id} is new here: its first revision is 1`)];
  if (next.revision !== before.revision + 1)
    return [mistake('revision', 'revision', `the next revision of ${next.id} is ${before.revision + 1}`)];
  const there = new Set(next.terminals.map(({ id }) => id));
  return [
    ...(next.kind === before.kind
      ? []
      : [mistake('kind', 'kind', `${next.id} is a ${before.kind}: another kind is another model`)]),
    ...before.terminals
      .filter(({ id }) => !there.has(id))
      .map(({ id }) =>
        mistake('terminals', 'dropped', `terminal ${id} of revision ${before.revision} is gone: wires may stand on it`),
      ),
  ];
}

interface ModelChange {
  what: string;
  before: string;
  after: string;
}

/** What differs, a line each: the whole, then terminals, elements and ports by id. */
export function compareModels(before: PartModel, after: PartModel): ModelChange[] {
  const plain = (['name', 'maker', 'massG'] as const)
    .filter((key) => before[key] !== after[key])
    .map((key) => ({
      what: key === 'massG' ? 'mass, g' : key,
      before: String(before[key]),
      after: String(after[key]),
    }));
  const outline =
    JSON.stringify(before.body) === JSON.stringify(after.body)
      ? []
      : [{ what: 'outline, holes or openings', before: sizeWords(before), after: sizeWords(after) }];
  return [
    ...plain,
    ...outline,
    ...listed('terminal', before.terminals, after.terminals),
    ...listed('element', before.elements, after.elements),
    ...listed('port', before.ports, after.ports),
    ...listed('plug', before.connectors, after.connectors),
    ...certainty(before, after),
  ];
}

function sizeWords({ body: { outlineMm, holes } }: PartModel): string {
  const [xs, ys] = [outlineMm.map(([x]) => x), outlineMm.map(([, y]) => y)];
  return `${(Math.max(...xs) - Math.min(...xs)).toFixed(1)} x ${(Math.max(...ys) - Math.min(...ys)).toFixed(1)} mm, ${holes.length} holes`;
}

function listed(word: string, before: readonly { id: string }[], after: readonly { id: string }[]): ModelChange[] {
  const old = new Map(before.map((member) => [member.id, member]));
  const now = new Map(after.map((member) => [member.id, member]));
  const gone = before
    .filter(({ id }) => !now.has(id))
    .map(({ id }) => ({ what: `${word} ${id}`, before: 'there', after: 'gone' }));
  return [
    ...gone,
    ...after.flatMap((member): ModelChange[] => {
      const was = old.get(member.id);
      if (!was) return [{ what: `${word} ${member.id}`, before: 'not there', after: 'added' }];
      return fields(was, member).map(([key, from, to]) => ({
        what: `${word} ${member.id}, ${key}`,
        before: from,
        after: to,
      }));
    }),
  ];
}

function fields(was: object, is: object): [string, string, string][] {
  const [a, b] = [was as Record<string, unknown>, is as Record<string, unknown>];
  const words = (value: unknown) => {
    if (value === undefined) return 'not said';
    if (typeof value === 'string') return value;
    return JSON.stringify(value);
  };
  return [...new Set([...Object.keys(a), ...Object.keys(b)])]
    .filter((key) => JSON.stringify(lookUp(a, key)) !== JSON.stringify(lookUp(b, key)))
    .map((key) => [key, words(lookUp(a, key)), words(lookUp(b, key))]);
}

function certainty(before: PartModel, after: PartModel): ModelChange[] {
  const keys = new Set([...Object.keys(before.knownFrom), ...Object.keys(after.knownFrom)]);
  return [...keys]
    .filter((key) => lookUp(before.knownFrom, key) !== lookUp(after.knownFrom, key))
    .map((key) => ({
      what: `how sure: ${key === '' ? 'the whole' : key.slice(1).replaceAll('/', ' ')}`,
      before: lookUp(before.knownFrom, key) ?? 'as the whole',
      after: lookUp(after.knownFrom, key) ?? 'as the whole',
    }));
}

/** How sure the number at a pointer is: the longest pointer that leads to it holds. */
export function certaintyAt(model: PartModel, pointer: string): PartModel['knownFrom'][string] {
  const best = Object.keys(model.knownFrom)
    .filter((key) => key === '' || pointer === key || pointer.startsWith(`${key}/`))
    .sort((a, b) => b.length - a.length)[0];
  return (best === undefined ? undefined : lookUp(model.knownFrom, best)) ?? 'assumed';
}
