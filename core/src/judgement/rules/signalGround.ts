/** A separate ESC whose signal wire comes without its ground. */
import { terminalRef } from '../../facts/terms/names';
import { hasRole } from '../../facts/catalogue/roles';
import type { Rule } from './finding';
import { finding, pinOf, spoken } from './finding';

const name = 'signal ground';
/** A pad that holds no thicker wire is the signal's own. */
const thinAwg = 24;

export const signalGround: Rule = {
  name,
  why: 'A signal is volts against its own ground. Taken from the power ground it carries the motors’ noise, and with that ground open the motors’ current goes through the signal.',
  judge: (view) =>
    Object.keys(view.assembly.build.slots).flatMap((slot) => {
      const { ports, terminals } = view.assembly.model(slot)!;
      const inputs = ports.filter(({ kind, way }) => kind === 'motorSignal' && way === 'takes');
      const ref = inputs.length === 1 ? pinOf(view, slot, inputs[0]!.id, 'in') : null;
      const own = terminals.find((one) => hasRole(one, 'ground') && one.thickestAwg >= thinAwg && one.form !== 'metal');
      if (!ref || !own || !view.joined.includes(view.nets.netOf(ref)!)) return [];
      const at = terminalRef(slot, own.id);
      const landed = Object.values(view.assembly.build.wires).some(({ ends }) =>
        ends.some((end) => end.at.on === 'terminal' && end.at.ref === at),
      );
      const plugged = view.assembly.model(slot)!.connectors.some(({ pins }) => pins.includes(own.id));
      if (landed || plugged) return [];
      const message = `The signal of ${slot} comes without a ground of its own: ${spoken(view, at)} is open.`;
      return [finding(view, { rule: name, severity: 'warn', net: view.nets.netOf(at)!, at: [at], message })];
    }),
};
