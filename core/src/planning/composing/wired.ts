/** The parts of a heap wired once, with what it takes besides; how they lie is not judged. */
import { assemble } from '../../facts/assembly/assembly';
import type { Build } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Range, Slot } from '../../facts/terms/names';
import type { Solve } from '../../facts/terms/solver';
import { judge } from '../../judgement/rules/judge';
import { bestLay } from '../../physics/layout';
import { planWiring } from '../planner/planWiring';
import type { OnProgress, Planned, PlanRequest, PlanResult } from '../planner/request';
import type { Choice } from './choicesFor';
import type { Draft } from './draft';
import { putOn } from './draft';
import { withOtherTails } from './otherTails';

export interface ComposeGiven extends Pick<PlanRequest, 'keep' | 'built' | 'inStores' | 'dormant'> {
  catalogue: Catalogue;
  /** Models that may be taken for what the heap lacks. */
  stock: readonly PartModel[];
  /** Says the cells, where nobody else does. */
  pack: PartModel | null;
  solve: Solve;
  onProgress?: OnProgress;
}

/** A part that the heap lacks and the aircraft wants. */
export interface Suggestion {
  model: PartModel;
  slots: readonly Slot[];
  because: string;
}

/** A draft with what was taken besides. */
export interface Taken {
  draft: Draft;
  suggested: readonly Suggestion[];
}

interface Wired {
  request: PlanRequest;
  result: PlanResult;
}

export function withMore(
  { draft, suggested }: Taken,
  { model, count, because }: { model: PartModel; count: number; because: string },
  catalogue: Catalogue,
): Taken {
  const more = putOn(draft, { model, count }, catalogue);
  const slots = Object.keys(more.slots).filter((slot) => !Object.hasOwn(draft.slots, slot));
  return { draft: more, suggested: [...suggested, { model, slots, because }] };
}

export function wired(draft: Draft, cells: Range, given: ComposeGiven): Wired {
  const request = requestFor(draft, cells, given);
  return { request, result: planWiring(request, given.solve, given.onProgress) };
}

export function requestFor({ slots, wishes, pinned }: Draft, cells: Range, given: ComposeGiven): PlanRequest {
  const { catalogue, keep, built, inStores, dormant } = given;
  return {
    ...{ slots, wishes, pinned, cells, catalogue },
    ...(keep ? { keep } : {}),
    ...(built ? { built } : {}),
    ...(inStores ? { inStores } : {}),
    ...(dormant ? { dormant } : {}),
  };
}

interface Lightened {
  planned: Planned;
  suggested: readonly Suggestion[];
}

/** What bears most gives way to the first other with which the rules have no more to say. */
export function withLightest(
  made: Lightened,
  { others }: Choice,
  { index, cells, catalogue }: { index: number; cells: Range; catalogue: Catalogue },
): Lightened {
  const { planned, suggested } = made;
  const own = suggested[index]!;
  for (const model of others) {
    const target = own.slots.reduce<Build | null>(
      (build, slot) => build && withOtherTails(build, slot, model),
      planned.target,
    );
    if (!target) continue;
    const findings = judge(assemble(target, catalogue), planned.links, cells);
    if (weigh(findings) > weigh(planned.findings)) continue;
    return { planned: { ...planned, target, findings }, suggested: suggested.with(index, { ...own, model }) };
  }
  return made;
}

const worth = { kill: 10_000, stop: 100, warn: 1 } as const;

/** What the rules have to say, weighed. */
function weigh(findings: Planned['findings']): number {
  return findings.reduce((sum, { severity }) => sum + worth[severity], 0);
}

/** Each part in the frame, where it has one and there is a place for it: the lay that its wires have the lengths of. */
export function laid(build: Build, catalogue: Catalogue): Build {
  const { poses } = bestLay(assemble(build, catalogue));
  const slots = Object.entries(build.slots).map(([slot, own]) => [slot, { ...own, pose: poses.get(slot) ?? own.pose }]);
  return { ...build, slots: Object.fromEntries(slots) as Build['slots'] };
}
