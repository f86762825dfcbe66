/** A part whose only ground comes through another part's plug loses it the moment that plug is pulled. */
import type { Slot } from '../../facts/terms/names';
import { splitRef, terminalRef } from '../../facts/terms/names';
import { assemble } from '../../facts/assembly/assembly';
import { hasRole } from '../../facts/catalogue/roles';
import { mainLeads } from '../../facts/wiring/mainLeads';
import type { Rule, RuleView } from './finding';
import { finding, makeRuleView, spoken } from './finding';

const name = 'ground through a plug';

export const groundThroughPlug: Rule = {
  name,
  why: 'Each part wants a ground that stays with its supply. One that comes round through a third part is gone when that part is unplugged, and the current takes the signal wires.',
  judge: (view) =>
    Object.entries(view.assembly.build.mates).flatMap(([id, mate]) => {
      const owners = [
        ...new Set([mate.a, mate.b].flatMap((side) => ('slot' in side ? [side.slot] : partsOn(view, side.housing)))),
      ];
      return losingGround(view, id)
        .filter((slot) => !owners.includes(slot))
        .map((slot) => {
          const ground = view.assembly.model(slot)!.terminals.find((one) => hasRole(one, 'ground'))!;
          const at = terminalRef(slot, ground.id);
          const message = `${slot} has its ground only through the plug between ${owners.join(' and ')}: pulled, ${spoken(view, at)} is open while its supply stays.`;
          return finding(view, { rule: name, severity: 'warn', net: view.nets.netOf(at)!, at: [at], message });
        });
    }),
};

/** The parts at the other ends of a housing's wires, also behind a housing of their own. */
function partsOn({ assembly }: RuleView, housing: string): Slot[] {
  const { wires, mates } = assembly.build;
  const behind = (other: string) =>
    Object.values(mates).flatMap(({ a, b }) => {
      const sides = [a, b];
      return sides.some((side) => 'housing' in side && side.housing === other)
        ? sides.flatMap((side) => ('slot' in side ? [side.slot] : []))
        : [];
    });
  const ends = Object.values(wires)
    .filter((wire) => wire.ends.some(({ at }) => at.on === 'cavity' && at.housing === housing))
    .flatMap((wire) => wire.ends.map(({ at }) => at));
  return [
    ...new Set(
      ends.flatMap((at) => {
        if (at.on === 'terminal') return [splitRef(at.ref).slot];
        return at.on === 'cavity' && at.housing !== housing ? behind(at.housing) : [];
      }),
    ),
  ];
}

/** Parts that keep a supply and lose their ground when a plug is pulled. */
function losingGround(view: RuleView, pulled: string): Slot[] {
  const { assembly, nets, links } = view;
  const leads = mainLeads(assembly);
  if (!leads) return [];
  const rest = Object.fromEntries(Object.entries(assembly.build.mates).filter(([id]) => id !== pulled));
  const after = assemble({ ...assembly.build, mates: rest }, assembly.catalogue);
  const without = makeRuleView(after, links, view.cells);
  return Object.keys(assembly.build.slots).filter((slot) => {
    const refs = (is: 'ground' | 'supply') =>
      assembly
        .model(slot)!
        .terminals.filter((one) => hasRole(one, is))
        .map(({ id }) => terminalRef(slot, id));
    const isGrounded = (by: typeof nets) => refs('ground').some((ref) => by.netOf(ref) === by.netOf(leads.minus));
    const isFed = refs('supply').some((ref) => without.sources.has(without.nets.netOf(ref)!));
    return isFed && isGrounded(nets) && !isGrounded(without.nets);
  });
}
