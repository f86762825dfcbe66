/** What can be put on the heap, found as one types: parts in hand before models; "4 x" before a name takes four. */
import type { ModelIndexLine, PartKind, PartLine } from '@junctor/core';
import { groupedBy } from '@junctor/core';
import type { FoundItem } from '../../../ui/Find';
import { findable, findModels } from '../../../ui/findModels';
import { matching } from '../../../ui/matching';

/** More of one sort no aircraft has. */
const mostOfOne = 16;

interface Typed {
  count: number;
  words: string;
}

export function typedParts(typed: string): Typed {
  const [, count, words] = /^\s*(\d{1,4})\s*[x×*]\s*(.*)$/i.exec(typed) ?? [null, '1', typed.trim()];
  return { count: Number(count), words: words!.trim() };
}

/** Said where so many cannot be put on; null where they can. */
export function countProblem({ count }: Typed): string | null {
  if (count === 0) return 'None of it is nothing to put on.';
  return count > mostOfOne ? `${count} of one sort: no aircraft has more than ${mostOfOne}.` : null;
}

export interface PartFound extends FoundItem {
  model: { id: string; revision: number };
  /** So many of it, of which the first are these parts in hand. */
  count: number;
  parts: readonly string[];
  /** Why it cannot be taken. */
  blocked: string | null;
}

interface Among {
  index: readonly ModelIndexLine[];
  inHand: readonly PartLine[];
  /** Parts in hand that are on the heap. */
  taken: ReadonlySet<string>;
  /** On this quad they are where they belong. */
  quad: string;
  /** What an exchange is for. */
  kinds: readonly PartKind[] | null;
}

/** They fly with it, and are said with the job. */
const notWired: readonly PartKind[] = ['pack', 'propeller'];
const mostFound = 7;

export function findParts({ count, words }: Typed, { index, inHand, taken, quad, kinds }: Among): PartFound[] {
  if (words === '') return [];
  const fits = ({ kind }: ModelIndexLine) => (kinds ? kinds.includes(kind) : !notWired.includes(kind));
  const wired = index.filter(fits);
  const named = new Map(wired.map((line) => [line.id, line]));
  const isMeant = matching(words);
  const single = inHand.flatMap((part): (PartFound & Pick<PartLine, 'owner'>)[] => {
    const line = named.get(part.model);
    if (!line || !isMeant(`${line.name} ${line.kind} ${part.serial ?? ''} ${part.batch ?? ''}`)) return [];
    return [{ ...partFound(part, line), blocked: whyNot(part, { taken, quad }), owner: part.owner }];
  });
  const models = findModels(findable(wired), words, false).map(({ id, revision, name, kind, massG }): PartFound => ({
    ...{
      id: `model ${id}`,
      name,
      note: `${kind}, ${massG} g`,
      model: { id, revision },
      count,
      parts: [],
      blocked: null,
    },
  }));
  const parts = count > 1 ? severalOf(single, count, named) : single;
  return [...parts.slice(0, mostFound - Math.min(models.length, 3)), ...models].slice(0, mostFound);
}

/** Of several that are wanted those in hand, with as many more as lack: a line for each owner's. */
function severalOf(
  single: readonly (PartFound & Pick<PartLine, 'owner'>)[],
  count: number,
  named: ReadonlyMap<string, ModelIndexLine>,
): PartFound[] {
  const free = single.filter(({ blocked }) => blocked === null);
  const alike = groupedBy(free, ({ model, owner }) => `${model.id} ${model.revision} ${owner ?? ''}`);
  return [...alike].map(([key, all]): PartFound => {
    const { model, owner } = all[0]!;
    const parts = all.slice(0, count).flatMap((one) => one.parts);
    const rest = count - parts.length;
    const note = `${parts.length} in hand, ${ownerWords(owner)}${rest > 0 ? `, ${rest} not` : ''}`;
    return { id: `parts ${key}`, name: named.get(model.id)!.name, note, model, count, parts, blocked: null };
  });
}

const ownerWords = (owner: string | null) => (owner ? `of ${owner}` : 'the shop’s');

function partFound(part: PartLine, { name }: ModelIndexLine): Omit<PartFound, 'blocked'> {
  const { id, serial, owner, onQuad, origin, condition, model, revision } = part;
  const where = onQuad ? `in ${onQuad}` : 'in hand';
  const note = `${where}, ${ownerWords(owner)}, ${origin}, ${condition}`;
  return {
    id: `part ${id}`,
    name: serial ? `${name}, ${serial}` : name,
    note,
    model: { id: model, revision },
    count: 1,
    parts: [id],
  };
}

function whyNot({ id, onQuad, condition }: PartLine, { taken, quad }: Pick<Among, 'taken' | 'quad'>): string | null {
  if (taken.has(id)) return 'That part lies on the heap already: one thing cannot be twice.';
  if (onQuad && onQuad !== quad) return `That part is in ${onQuad}: it comes off there first.`;
  return condition === 'scrap' ? 'That part is scrap.' : null;
}
