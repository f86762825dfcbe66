/** More current through a contact of a plug than it is made for. */
import type { TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { terminalUnder } from '../../facts/wiring/terminalUnder';
import { feedThrough } from './feedCurrent';
import type { Rule, RuleView } from './finding';
import { finding, spoken } from './finding';

const name = 'plug contact';

export const plugContact: Rule = {
  name,
  why: 'A small contact gets warm long before its wire does, loses its spring, and then parts under vibration. Two contacts side by side, or a pad.',
  judge: (view) =>
    Object.values(view.assembly.build.wires).flatMap((wire) => {
      const feed = feedThrough(view, wire.id);
      if (!feed) return [];
      return wire.ends.flatMap((end) => {
        const ref = terminalUnder(view.assembly, end);
        const limitA = ref && contactLimitA(view, ref);
        if (!ref || limitA === null || feed.amps <= limitA) return [];
        const message = `The contact of ${spoken(view, ref)} is made for ${limitA} A; ${splitRef(feed.ref).slot} draws ${feed.amps.toFixed(1)} A through it.`;
        return [
          {
            ...finding(view, {
              rule: name,
              severity: feed.amps > 2 * limitA ? 'stop' : 'warn',
              net: view.nets.netOf(ref)!,
              at: [ref],
              message,
            }),
            wires: [wire.id],
          },
        ];
      });
    }),
};

/** null: the terminal is in no plug. */
function contactLimitA({ assembly }: RuleView, ref: TerminalRef): number | null {
  const { slot, terminal } = splitRef(ref);
  return assembly.model(slot)!.connectors.find(({ pins }) => pins.includes(terminal))?.ampsPerPin ?? null;
}
