/** Rails that are dead until something switches them on, and the parts that hang on them. */
import type { NodeId, Slot, TerminalRef } from '../../facts/terms/names';
import type { Rail } from '../../physics/loads/supplyTree';
import { railWords } from '../../physics/loads/supplyTree';
import type { RuleView } from './finding';
import { railRegulator } from './railRegulator';

interface SwitchedRail {
  /** "FC 9 V". */
  words: string;
  slot: Slot;
  /** Where it comes out of its part. */
  at: TerminalRef;
  enable: 'software' | NodeId;
  /** Other parts, by their loads or by regulators of their own. */
  feeds: readonly Slot[];
}

export function switchedRails(view: RuleView): SwitchedRail[] {
  return view.tree.rails.flatMap((rail): SwitchedRail[] => {
    const regulator = railRegulator(view, rail);
    if (!regulator?.output || regulator.element.enable === 'always') return [];
    const { slot, output: at, element } = regulator;
    const feeds = [...fedBy(view, rail)].filter((part) => part !== slot);
    return feeds.length === 0
      ? []
      : [{ words: railWords(rail, view.tree.rails), slot, at, enable: element.enable, feeds }];
  });
}

function fedBy(view: RuleView, rail: Rail): ReadonlySet<Slot> {
  const below = view.tree.rails.filter(({ parent }) => parent === rail.id);
  return new Set([
    ...rail.draws.map(({ slot }) => slot),
    ...below.flatMap((child) => (child.slot ? [child.slot, ...fedBy(view, child)] : [])),
  ]);
}
