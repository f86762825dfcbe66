/** Camera, controller and transmitter have one common ground, and the video wire's ground runs beside it. */
import type { Slot } from '../../facts/terms/names';
import { splitRef, terminalRef } from '../../facts/terms/names';
import type { Rule, RuleView } from './finding';
import { finding, portsOn, spoken } from './finding';
import { hasRole } from '../../facts/catalogue/roles';
import { lookUp } from '../../facts/terms/lookUp';

const name = 'video ground';

export const videoGround: Rule = {
  name,
  why: 'The picture is a difference of volts between the video wire and its ground. Without a common ground there is none; with one that loops far round there are stripes.',
  judge: (view) =>
    view.joined.flatMap((net) => {
      const video = portsOn(view, net).filter(({ port }) => port.kind === 'video');
      const from = video.find(({ pin }) => pin === 'out');
      const to = from && video.find(({ pin, slot }) => pin === 'in' && slot !== from.slot);
      if (!from || !to) return [];
      const [a, b] = [groundsOf(view, from.slot), groundsOf(view, to.slot)];
      if (!a.some((ref) => b.some((other) => view.nets.netOf(ref) === view.nets.netOf(other)))) {
        return [
          finding(view, {
            rule: name,
            severity: 'stop',
            net,
            at: [from.ref, to.ref],
            message: `${from.slot} and ${to.slot} have no common ground: no picture.`,
          }),
        ];
      }
      if (beside(view, from.slot, to.slot)) return [];
      return [
        finding(view, {
          rule: name,
          severity: 'warn',
          net,
          at: [from.ref, to.ref],
          message: `No ground wire runs beside the video wire from ${spoken(view, from.ref)} to ${spoken(view, to.ref)}.`,
        }),
      ];
    }),
};

function groundsOf(view: RuleView, slot: Slot) {
  return view.assembly
    .model(slot)!
    .terminals.filter((terminal) => hasRole(terminal, 'ground'))
    .map(({ id }) => terminalRef(slot, id));
}

/** A wire of the ground net that goes from the one part to the other, directly or through its plug. */
function beside(view: RuleView, a: Slot, b: Slot): boolean {
  const housings = new Map(
    Object.values(view.assembly.build.mates).flatMap((mate) =>
      'slot' in mate.a && 'housing' in mate.b ? [[mate.b.housing, mate.a.slot]] : [],
    ),
  );
  const ground = new Set(groundsOf(view, a).flatMap((ref) => view.nets.netOf(ref)?.wires ?? []));
  return [...ground].some((id) => {
    const slots = lookUp(view.assembly.build.wires, id)!.ends.map(({ at }) => {
      if (at.on === 'terminal') return splitRef(at.ref).slot;
      if (at.on === 'cavity') return housings.get(at.housing);
      return null;
    });
    return slots.includes(a) && slots.includes(b);
  });
}
