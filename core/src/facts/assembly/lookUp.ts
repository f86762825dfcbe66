/** Look-ups in a build. */
import type { TerminalRef, Slot } from '../terms/names';
import { splitRef } from '../terms/names';
import type { Build } from './build';
import type { PartModel, Terminal } from '../catalogue/partModel';
import type { Catalogue } from '../catalogue/catalogue';
import { terminalOf } from '../catalogue/catalogue';


/** The model of the part in a slot, or null when the slot is empty. */
export function modelIn(build: Build, slot: Slot, catalogue: Catalogue): PartModel | null {
  const fitted = build.slots[slot];
  return fitted ? catalogue.model(fitted) : null;
}

/** The terminal that a full name means in this build, or null when slot or terminal do not exist. */
export function findTerminal(build: Build, ref: TerminalRef, catalogue: Catalogue): Terminal | null {
  const { slot, terminal } = splitRef(ref);
  const model = modelIn(build, slot, catalogue);
  return model ? terminalOf(model, terminal) : null;
}
