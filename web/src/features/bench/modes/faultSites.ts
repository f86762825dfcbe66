/** Where a fault can be: where the hands are now, the last joints made, the plugs, the parts. */
import type { FaultEntry, Site } from '@junctor/core';
import { landedOn, mainLeads, slotTitle, splitJoint, splitRef } from '@junctor/core';
import type { Bench } from '../../../bench/provider/bench';

const jointsAtMost = 12;

/** The likeliest first; that of a known fault is one of them. */
export function likelySites({ state }: Bench, known: FaultEntry | null): Site[] {
  const { current, log, asBuilt, short } = state;
  const own: Site[] = known ? [known.site] : [];
  if (current?.about.kind === 'touch') {
    const { black, red } = current.about.listed.touch;
    own.push({ between: [black, red] });
  }
  if (current?.about.kind === 'joint') own.push({ wire: current.about.wire, end: current.about.end });
  const leads = short ? mainLeads(asBuilt) : null;
  if (leads) own.push({ between: [leads.plus, leads.minus] });
  const joints = [...new Set(log.acts.flatMap(({ joints: made }) => made))].reverse();
  const soldered = joints.flatMap((name): Site[] => {
    const joint = splitJoint(name);
    const wire = joint && asBuilt.build.wires[joint.wire];
    return joint && wire && landedOn(wire.ends[joint.end]) ? [{ wire: joint.wire, end: joint.end }] : [];
  });
  const parts = Object.keys(asBuilt.build.slots).map((slot): Site => ({ slot }));
  const plugs = Object.keys(asBuilt.build.mates).map((mate): Site => ({ mate }));
  return [...own, ...soldered.slice(0, jointsAtMost), ...parts, ...plugs];
}

/** The part that a place belongs to; null in between. */
export function partAt({ state: { asBuilt } }: Bench, site: Site): string | null {
  if ('slot' in site) return site.slot in asBuilt.build.slots ? site.slot : null;
  const wire = 'wire' in site ? asBuilt.build.wires[site.wire] : undefined;
  const ref = wire && (wire.tailOf ?? wire.ends.map(landedOn).find((end) => end !== null));
  const slot = ref && splitRef(ref).slot;
  return slot && slot in asBuilt.build.slots ? slot : null;
}

/** Parts that this job has put in place of others there; anywhere, where the place is between two terminals. */
export function replacedAt(bench: Bench, site: Site): { id: string; words: string }[] {
  const { replacements, asBuilt } = bench.state;
  const part = partAt(bench, site);
  return replacements.flatMap(({ slot, note, pending }) => {
    const id = note.record.body.part;
    if (pending || id === null || (part !== null && part !== slot)) return [];
    return [{ id, words: slotTitle(slot, asBuilt) }];
  });
}
