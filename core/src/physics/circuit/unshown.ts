/**
 * What a part may have inside though nothing says so: of each rail that it gives one load more, from its ground a
 * junction to each of its rails and pins. A good one may have all of it, some or none: its readings lie between.
 * Experience values of small boards, each at the end that conducts most.
 */
import type { PartModel } from '../../facts/catalogue/partModel';
import { groupedBy } from '../../facts/terms/groupedBy';
import { hasRole, isSupply, phaseChannel } from '../../facts/catalogue/roles';
import type { Branch, Circuit } from './compile';

const leastLoadOhms = 3e3;
/** Of a substrate; it holds back nothing beside its junction. */
const junction = { is: 'diode', forwardV: 0.5, atA: 1e-3, seriesOhms: 0 } as const;

export function unshownIn(slot: string, model: PartModel): Branch[] {
  const { terminals } = model;
  const ground = terminals.find((terminal) => hasRole(terminal, 'ground'));
  if (!ground) return [];
  const nodes = groupedBy(terminals, ({ node }) => node);
  nodes.delete(ground.node);
  const between = (a: string, b: string, element: Branch['element']): Branch => ({
    id: `${slot}/unshown ${a} ${b}`,
    a: `${slot}:${a}`,
    b: `${slot}:${b}`,
    element,
    site: { slot },
  });
  // What a phase hangs on is drawn: its transistors.
  const isPin = (terminal: PartModel['terminals'][number]) =>
    hasRole(terminal, 'supply') || (hasRole(terminal, 'port') && phaseChannel(model, terminal.id) === null);
  return [...nodes].flatMap(([node, own]): Branch[] => [
    ...(own.some((terminal) => isSupply(terminal, 'gives'))
      ? [between(node, ground.node, { is: 'resistor', ohms: leastLoadOhms })]
      : []),
    ...(own.some(isPin) ? [between(ground.node, node, junction)] : []),
  ]);
}

/** A circuit whose parts have all of it. */
export function withUnshown(circuit: Circuit): Circuit {
  return { ...circuit, branches: [...circuit.branches, ...circuit.unshown] };
}
