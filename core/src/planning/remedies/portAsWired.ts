/** The change by which a link names the port that it is really wired to. */
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { Plan } from '../../facts/plan/plan';
import type { Finding } from '../../judgement/rules/finding';
import { makeRuleView, portOf } from '../../judgement/rules/finding';
import { assemble } from '../../facts/assembly/assembly';
import type { Remedy } from './scene';

/** Empty when the finding is about something else. */
export function portAsWired(plan: Plan, catalogue: Catalogue, { rule, at }: Finding): Remedy[] {
  if (rule !== 'port not as named') return [];
  const view = makeRuleView(assemble(plan.target, catalogue), [], plan.cells);
  const ports = at.flatMap((ref) => portOf(view, ref) ?? []);
  return plan.links.flatMap((link) => {
    const [own, other] = link.ends;
    const wired = ports.find(({ slot }) => slot === other?.slot);
    if (
      !own ||
      !other ||
      !wired ||
      wired.port.id === other.port ||
      !ports.some(({ slot, port }) => slot === own.slot && port.id === own.port)
    )
      return [];
    const after = { ...link, ends: [own, { slot: other.slot, port: wired.port.id }] };
    return [
      {
        message: `Call it ${other.slot} ${wired.port.id}, as it is wired`,
        changes: [{ path: `links/${link.id}` as const, before: link, after }],
      },
    ];
  });
}
