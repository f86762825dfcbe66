/** A transmitter without its aerial destroys its output stage, or is not heard. */
import { isTransmitter } from '../../facts/catalogue/kinds';
import type { Rule } from './finding';
import { feedsOf, finding, pinOf, portsOn, spoken } from './finding';

const name = 'aerial missing';

export const aerialMissing: Rule = {
  name,
  why: 'What a transmitter cannot radiate comes back into it as heat: without its aerial it dies within minutes, often within seconds.',
  judge: (view) =>
    Object.keys(view.assembly.build.slots).flatMap((slot) => {
      const model = view.assembly.model(slot)!;
      // One that gets no supply, left in or not wired yet, sends nothing.
      if (!isTransmitter(model.kind) || feedsOf(view, slot).length === 0) return [];
      return model.ports
        .filter(({ kind, way }) => kind === 'aerial' && way === 'gives')
        .flatMap(({ id }) => {
          const ref = pinOf(view, slot, id, 'out');
          const net = ref && view.nets.netOf(ref);
          if (!ref || !net) return [];
          const met = portsOn(view, net).some(({ port }) => port.kind === 'aerial' && port.way === 'takes');
          if (met) return [];
          const message = `Nothing is on the aerial socket of ${spoken(view, ref)}.`;
          return [finding(view, { rule: name, severity: 'stop', net, at: [ref], message })];
        });
    }),
};
