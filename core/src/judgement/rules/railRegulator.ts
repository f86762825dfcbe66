/** The regulator that a rail of the supply tree comes from, and where it shows on its part. */
import type { Element } from '../../facts/catalogue/partModel';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import type { Rail } from '../../physics/loads/supplyTree';
import type { RuleView } from './finding';

type Regulator = Extract<Element, { is: 'regulator' }>;

interface RailRegulator {
  slot: Slot;
  element: Regulator;
  /** A terminal on its output and on its input; null where that is inside the part. */
  output: TerminalRef | null;
  input: TerminalRef | null;
}

/** null for the battery. */
export function railRegulator({ assembly }: RuleView, { id, slot }: Rail): RailRegulator | null {
  const model = slot === null ? null : assembly.model(slot);
  const element = model?.elements.find((one) => `${slot}/${one.id}` === id);
  if (slot === null || !model || element?.is !== 'regulator') return null;
  const at = (node: string) => {
    const terminal = model.terminals.find((one) => one.node === node);
    return terminal ? terminalRef(slot, terminal.id) : null;
  };
  return { slot, element, output: at(element.output), input: at(element.input) };
}
