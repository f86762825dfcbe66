/** The terminal that an end of a wire is on, also through the plug that its contact sits in. */
import type { Build, WireEnd } from '../assembly/build';
import { landedOn } from '../assembly/build';
import type { Catalogue } from '../catalogue/catalogue';
import type { TerminalRef } from '../terms/names';
import { terminalRef } from '../terms/names';
import { modelIn } from '../assembly/lookUp';

/** null in the air, and for a contact whose housing is in no socket. */
export function terminalUnder(build: Build, end: WireEnd, catalogue: Catalogue): TerminalRef | null {
  const { at } = end;
  if (at.on !== 'cavity') return landedOn(end);
  const mate = Object.values(build.mates).find(({ a, b }) => 'slot' in a && 'housing' in b && b.housing === at.housing);
  if (!mate || !('slot' in mate.a)) return null;
  const { slot, connector } = mate.a;
  const pin = modelIn(build, slot, catalogue)?.connectors.find(({ id }) => id === connector)?.pins[
    at.position - 1 - mate.shift
  ];
  return pin ? terminalRef(slot, pin) : null;
}
