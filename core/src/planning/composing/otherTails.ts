/** Another lead of the same pads in a wired build: what comes with it is as it is on the new one. */
import type { Build, Wire } from '../../facts/assembly/build';
import type { PartModel } from '../../facts/catalogue/partModel';
import { lookUp } from '../../facts/terms/lookUp';
import type { Slot } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';

/** null: the new one has other leads. */
export function withOtherTails(build: Build, slot: Slot, model: PartModel): Build | null {
  const own = Object.values(build.wires).filter(({ tailOf }) => tailOf && splitRef(tailOf).slot === slot);
  const changed: [string, Wire][] = [];
  for (const wire of own) {
    const tail = model.tails.find(({ terminal }) => terminal === splitRef(wire.tailOf!).terminal);
    if (!tail) return null;
    const { awg, colour, insulation, lengthMm } = tail;
    changed.push([wire.id, { ...wire, awg, colour, insulation, lengthMm }]);
  }
  const fitted = { ...lookUp(build.slots, slot)!, model: model.id, revision: model.revision };
  return {
    ...build,
    slots: { ...build.slots, [slot]: fitted },
    wires: { ...build.wires, ...Object.fromEntries(changed) },
  };
}
