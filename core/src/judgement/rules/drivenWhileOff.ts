/** A pin that bears less while its part is off, and that a part which is on drives. */
import { splitRef } from '../../facts/terms/names';
import type { Finding, Rule } from './finding';
import { finding, spoken } from './finding';
import { switchedRails } from './switchedRails';

const name = 'driven while off';

export const drivenWhileOff: Rule = {
  name,
  why: 'Volts on a pin of a part that has no supply feed it through that pin: it half wakes, draws what no pin is made for, and may start wrong or not at all.',
  judge: (view) => {
    const off = new Map(switchedRails(view).flatMap(({ words, feeds }) => feeds.map((slot) => [slot, words] as const)));
    if (off.size === 0) return [];
    return view.joined.flatMap((net) =>
      (view.drives.get(net) ?? []).flatMap((drive) =>
        net.terminals.flatMap((ref): Finding[] => {
          const { slot } = splitRef(ref);
          const words = off.get(slot);
          const bearsV = view.terminal(ref).withstandOffV[1];
          const driver = splitRef(drive.ref).slot;
          if (!words || driver === slot || off.get(driver) === words || drive.volts <= bearsV) return [];
          const message = `While ${words} is off, ${spoken(view, ref)} bears ${bearsV} V; ${spoken(view, drive.ref)} drives ${drive.volts.toFixed(1)} V into it.`;
          return [finding(view, { rule: name, severity: 'warn', net, at: [ref, drive.ref], message })];
        }),
      ),
    );
  },
};
