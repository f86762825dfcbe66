/** Rails that are dead until something switches them on, and the parts that hang on them. */
import type { NodeId, Slot, TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import type { Rail } from '../../physics/loads/supplyTree';
import { railWords } from '../../physics/loads/supplyTree';
import type { RuleView } from './finding';

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
    const { slot } = rail;
    const model = slot ? view.assembly.model(slot) : null;
    const element = model?.elements.find(({ id }) => `${slot}/${id}` === rail.id);
    if (!slot || !model || element?.is !== 'regulator' || element.enable === 'always') return [];
    const terminal = model.terminals.find(({ node }) => node === element.output);
    const feeds = [...fedBy(view, rail)].filter((part) => part !== slot);
    if (!terminal || feeds.length === 0) return [];
    const words = railWords(rail, view.tree.rails);
    return [{ words, slot, at: terminalRef(slot, terminal.id), enable: element.enable, feeds }];
  });
}

function fedBy(view: RuleView, rail: Rail): ReadonlySet<Slot> {
  const below = view.tree.rails.filter(({ parent }) => parent === rail.id);
  return new Set([
    ...rail.draws.map(({ slot }) => slot),
    ...below.flatMap((child) => (child.slot ? [child.slot, ...fedBy(view, child)] : [])),
  ]);
}
