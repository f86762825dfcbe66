/** The pick list of a job, computed from what has to be built: nothing is kept by hand, so it follows every re-plan. */
import { landedOn } from '../../facts/assembly/build';
import type { Change } from '../../facts/assembly/difference';
import { difference } from '../../facts/assembly/difference';
import type { Slot, StepId } from '../../facts/terms/names';
import type { Alloy } from '../../physics/joints/recipe';
import type { KitLine } from './kitLine';
import type { Assembly } from '../../facts/assembly/assembly';
import type { Need, Joint } from './kitNeed';
import { partNeeds, leadNeeds, wireNeeds, sleeveNeeds, housingNeeds } from './partNeeds';
import { solderNeeds, fixingNeeds, screwNeeds, toolNeeds, consumableNeeds, braidNeeds } from './benchNeeds';
import { lookUp } from '../../facts/terms/lookUp';

/** Lines in picking order: parts, leads, wire, sleeves, housings, solder, fixings, screws, tools, consumables. */
export function kitList(start: Assembly, target: Assembly, alloy: Alloy = 'leaded'): KitLine[] {
  const changes = difference(start.build, target.build);
  const joints = jointsOf(changes, target);
  if (changes.length === 0) return [];
  return merged([
    ...partNeeds(changes, target),
    ...leadNeeds(changes, target),
    ...wireNeeds(start.build, target),
    ...sleeveNeeds(start.build, target.build),
    ...housingNeeds(changes, start.build, target.build),
    ...solderNeeds(joints, alloy),
    ...fixingNeeds(changes, target),
    ...screwNeeds(changes, target),
    ...toolNeeds(joints, alloy),
    ...consumableNeeds(joints),
    ...braidNeeds(changes, start.build),
  ]);
}

function jointsOf(changes: readonly Change[], target: Assembly): Joint[] {
  return changes.flatMap(({ verb, subject, about }): Joint[] => {
    const joint = verb === 'land' ? about : null;
    const wire = joint && lookUp(target.build.wires, joint.wire);
    const ref = wire && landedOn(wire.ends[joint.end]);
    const terminal = ref && target.terminal(ref);
    if (!wire || !terminal || wire.ends[joint.end].by !== 'solder') return [];
    return [{ id: `land:${subject}`, wire, padMm: [terminal.sizeMm[0], terminal.sizeMm[1]] }];
  });
}

function merged(needs: readonly Need[]): KitLine[] {
  const lines = new Map<string, KitLine & { slots: Slot[]; steps: StepId[] }>();
  for (const { key, kind, name, amount, unit, because = '', slot, step } of needs) {
    const line = lines.get(key) ?? { key, kind, name, needed: 0, unit, because: '', slots: [], steps: [] };
    line.needed += amount;
    // Each reason once: a line may serve several things.
    if (because && !line.because.split('; ').includes(because))
      line.because = line.because ? `${line.because}; ${because}` : because;
    if (slot && !line.slots.includes(slot)) line.slots.push(slot);
    if (step && !line.steps.includes(step)) line.steps.push(step);
    lines.set(key, line);
  }
  return [...lines.values()].map((line) => {
    const neededOf = () => {
      if (line.key.startsWith('tip:')) return 1;
      if (line.unit === 'g') return Math.ceil(line.needed * 10) / 10;
      return Math.ceil(line.needed);
    };
    return {
      ...line,
      needed: neededOf(),
    };
  });
}
