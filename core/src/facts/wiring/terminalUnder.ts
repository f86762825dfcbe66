/** The terminal that an end of a wire is on, also through the plug that its contact sits in. */
import type { WireEnd } from '../assembly/build';
import { landedOn } from '../assembly/build';
import type { TerminalRef } from '../terms/names';
import { terminalRef } from '../terms/names';
import type { Assembly } from '../assembly/assembly';

/** null in the air, and for a contact whose housing is in no socket. */
export function terminalUnder(assembly: Assembly, end: WireEnd): TerminalRef | null {
  const { at } = end;
  if (at.on !== 'cavity') return landedOn(end);
  const mate = Object.values(assembly.build.mates).find(
    ({ a, b }) => 'slot' in a && 'housing' in b && b.housing === at.housing,
  );
  if (!mate || !('slot' in mate.a)) return null;
  const { slot, connector } = mate.a;
  const pin = assembly.model(slot)?.connectors.find(({ id }) => id === connector)?.pins[at.position - 1 - mate.shift];
  return pin ? terminalRef(slot, pin) : null;
}
