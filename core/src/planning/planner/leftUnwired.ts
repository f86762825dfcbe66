/** Parts of a plan that would live on a supply, and that no wire reaches: nobody wished anything of them. */
import type { Assembly } from '../../facts/assembly/assembly';
import { landedOn, matesOn } from '../../facts/assembly/build';
import { isCapacitor } from '../../facts/catalogue/kinds';
import { isSupply } from '../../facts/catalogue/roles';
import type { Slot } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';

export function leftUnwired({ build, model }: Assembly): Slot[] {
  const reached = new Set(
    Object.values(build.wires).flatMap(({ ends }) =>
      ends.flatMap((end) => {
        const ref = landedOn(end);
        return ref ? [splitRef(ref).slot] : [];
      }),
    ),
  );
  return Object.keys(build.slots).filter((slot) => {
    const part = model(slot)!;
    const lives = part.terminals.some((terminal) => isSupply(terminal, 'takes')) && !isCapacitor(part);
    return lives && !reached.has(slot) && matesOn(slot, build).length === 0;
  });
}
