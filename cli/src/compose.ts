/** A heap of parts made into a plan: what it lacks, what was taken for it, what clashes and how out of it. */
import type { Assembly, Catalogue, Composed, Heap, PartModel, Range, Suggestion } from '@junctor/core';
import {
  assemble,
  balanceOf,
  buildFileOf,
  compose,
  costWords,
  draftOf,
  emptyBuild,
  layoutOf,
  wantsOf,
} from '@junctor/core';
import { loadSolver } from '@junctor/solver/node';
import type { Said } from './commands';
import { servedWords, wayOutWords } from './commands';

export async function composeHeap(heap: Heap, catalogue: Catalogue): Promise<Said> {
  const { draft, pack } = draftOf(heap, catalogue);
  const made = compose(draft, { catalogue, stock: catalogue.models, pack, solve: await loadSolver() });
  switch (made.is) {
    case 'gave up':
      return { text: `gave up: ${made.why}`, data: made, found: true };
    case 'lacking':
      return { text: made.lacks.map(({ what, says }) => `${what}: ${says}`).join('\n'), data: made, found: true };
    case 'clash': {
      const { suggested, conflict, waysOut } = made;
      const taken = suggestedWords(suggested, assemble(emptyBuild, catalogue), null);
      const text = [...taken, `clash: ${conflict.why}`, ...wayOutWords(waysOut)].join('\n');
      return { text, data: made, found: true };
    }
    case 'composed':
      return composedWords(heap, made, { catalogue, pack });
  }
}

function composedWords(
  { name }: Heap,
  { plan, planned, suggested, misfit }: Extract<Composed, { is: 'composed' }>,
  { catalogue, pack }: { catalogue: Catalogue; pack: PartModel | null },
): Said {
  const assembly = assemble(plan.target, catalogue);
  const layout = layoutOf(assembly);
  const margins = (layout?.margins ?? []).filter(({ verdict }) => verdict === 'no');
  const dry = balanceOf(assembly, {}, layout?.laid ?? null);
  const text = [
    ...suggestedWords(suggested, assembly, plan.cells),
    `${plan.cells[0]} cells, dry ${dry.g.map((g) => g.toFixed(0)).join(' to ')} g`,
    ...servedWords(planned),
    ...wantsOf(assembly, pack).map(({ what, says }) => `${what}: ${says}`),
    ...planned.findings.map(({ severity, message }) => `${severity}  ${message}`),
    ...margins.map(({ what, says }) => `no  ${what}: ${says}`),
    ...wayOutWords(misfit?.waysOut ?? []),
  ].join('\n');
  const isOdd = planned.findings.some(({ severity }) => severity !== 'warn') || margins.length > 0;
  return { text, data: buildFileOf(name, plan), found: isOdd };
}

function suggestedWords(suggested: readonly Suggestion[], assembly: Assembly, cells: Range | null): string[] {
  return suggested.map(({ model, slots, because }) => {
    const count = slots.length > 1 ? `${slots.length} x ` : '';
    const cost = costWords({ model, slots }, assembly, cells);
    return `taken besides: ${count}${model.name}, ${cost.join(', ')}: ${because}`;
  });
}
