/** Where a cause lies, as joints that can be made again and as terminals that can be ringed. */
import type { Assembly, Reading, Site, TerminalRef } from '@junctor/core';
import { elementEnds, jointName, landedOn, splitJoint, suspectJoints, terminalRef } from '@junctor/core';
import type { Cause } from '../../../compute/worker';

/** Soldered joints at a place. */
export function jointsOf(site: Site, { build }: Assembly): string[] {
  if ('wire' in site)
    return endsAt(site).flatMap(({ wire, end }) =>
      build.wires[wire]?.ends[end].by === 'solder' ? [jointName(wire, end)] : [],
    );
  if (!('between' in site)) return [];
  return Object.values(build.wires).flatMap(({ id, ends }) =>
    ([0, 1] as const).flatMap((end) => {
      const ref = landedOn(ends[end]);
      return ref && site.between.includes(ref) && ends[end].by === 'solder' ? [jointName(id, end)] : [];
    }),
  );
}

/** Terminals at a place: of what fails inside a part those that it hangs on; none along a wire. */
export function terminalsOf(site: Site, assembly: Assembly): TerminalRef[] {
  const { build } = assembly;
  if ('between' in site) return [...site.between];
  if ('slot' in site) {
    const { elements = [], terminals = [] } = assembly.model(site.slot) ?? {};
    const failed = elements.find(({ id }) => id === site.element);
    const [one = [], other = []] = (failed ? elementEnds(failed) : []).map((end) =>
      terminals.filter(({ node }) => node === end),
    );
    // A supply has many places, what hangs on it few: these are its.
    const few = other.length === 0 || (one.length > 0 && one.length < other.length) ? one : other;
    return few.map(({ id }) => terminalRef(site.slot, id));
  }
  if (!('wire' in site)) return [];
  return endsAt(site).flatMap(({ wire, end }) => {
    const ends = build.wires[wire]?.ends;
    return (ends && landedOn(ends[end])) ?? [];
  });
}

/** The end that is in question, with the one that it was taken for. */
function endsAt({ wire, end, for: other }: Extract<Site, { wire: string }>): { wire: string; end: 0 | 1 }[] {
  if (end === undefined) return [];
  const taken = other === undefined ? null : splitJoint(other);
  return [{ wire, end }, ...(taken ? [taken] : [])];
}

/** Where no single fault reads so: the joints on the way. */
export function suspectedJoints(reading: Reading, asBuilt: Assembly): Pick<Cause, 'kind' | 'site' | 'because'>[] {
  return suspectJoints(reading, asBuilt).map((joint) => {
    const { wire, end } = splitJoint(joint)!;
    return { kind: 'joint', site: { wire, end }, because: 'it lies on the way of what was read' };
  });
}
