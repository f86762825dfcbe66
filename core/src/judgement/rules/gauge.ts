/** A supply wire too thin for what goes through it. */
import { wireWords } from '../../facts/assembly/itemWords';
import { capital } from '../../facts/terms/capital';
import { splitRef } from '../../facts/terms/names';
import type { Rule, RuleView } from './finding';
import { finding } from './finding';
import { feedThrough } from './feedCurrent';
import { ampsFor } from '../../facts/wiring/wireAmps';

const name = 'gauge';

export const gauge: Rule = {
  name,
  why: 'Thin wire drops volts and gets warm in a bundle: 5 A for each square millimetre in a bundle, 10 in free air.',
  judge: (view) =>
    Object.values(view.assembly.build.wires).flatMap((wire) => {
      const feed = feedThrough(view, wire.id);
      if (!feed) return [];
      const { ref, amps } = feed;
      const carries = ampsFor(wire.awg, loadedIn(view, wire.bundle) > 2);
      if (amps <= carries) return [];
      const message = `${capital(wireWords(wire, view.assembly))} is ${wire.awg} AWG and carries ${carries.toFixed(1)} A; ${splitRef(ref).slot} draws ${amps.toFixed(1)} A through it.`;
      return [
        {
          ...finding(view, {
            rule: name,
            severity: amps > 2 * carries ? 'stop' : 'warn',
            net: view.nets.netOf(ref)!,
            at: [ref],
            message,
          }),
          wires: [wire.id],
        },
      ];
    }),
};

/** How many wires of a bundle carry a supply. A data lead with one supply pair cools like a single wire. */
function loadedIn(view: RuleView, bundle: string | undefined): number {
  if (bundle === undefined) return 0;
  return Object.values(view.assembly.build.wires).filter(
    (wire) => wire.bundle === bundle && view.sources.has(view.nets.netOfWire(wire.id)!),
  ).length;
}
