/** Parts, leads, wire, sleeves and housings of a job. */
import type { Build, Wire } from '../../facts/assembly/build';
import { landedOn } from '../../facts/assembly/build';
import type { Change } from '../../facts/assembly/difference';
import { jointName, splitRef } from '../../facts/terms/names';
import type { Slot } from '../../facts/terms/names';
import { offcutShare, sleeveFor, sleeveMm } from './amounts';
import type { Assembly } from '../../facts/assembly/assembly';
import { lengthMmOf } from '../../physics/layout/wireLength';
import type { Need } from './kitNeed';
import { wireKey } from './offcut';
import { lookUp } from '../../facts/terms/lookUp';

export function partNeeds(changes: readonly Change[], target: Assembly): Need[] {
  return changes
    .filter(({ verb }) => verb === 'fit')
    .map(({ subject }): Need => {
      const model = target.model(subject)!;
      return {
        key: `part:${model.id}`,
        kind: 'part',
        name: model.name,
        amount: 1,
        unit: 'pieces',
        slot: subject,
        step: `fit:${subject}`,
      };
    });
}

export function leadNeeds(changes: readonly Change[], assembly: Assembly): Need[] {
  const target = assembly.build;
  return changes
    .filter(({ verb }) => verb === 'lead')
    .map(({ subject }): Need => {
      const wires = Object.values(target.wires).filter(({ bundle }) => bundle === subject);
      const at = wires.flatMap(({ ends }) =>
        ends.flatMap((end) => (end.at.on === 'cavity' ? [end.at.housing] : [])),
      )[0];
      const housing = at ? lookUp(target.housings, at) : null;
      const lengthMm = Math.max(...wires.map((wire) => lengthMmOf(assembly, wire)));
      const family = housing?.family ?? 'plug';
      return {
        key: `lead:${family}:${housing?.ways ?? wires.length}:${lengthMm}`,
        kind: 'lead',
        name: `made-up lead, ${housing?.ways ?? wires.length} ways, ${family}, ${lengthMm} mm`,
        amount: 1,
        unit: 'pieces',
        step: `lead:${subject}`,
      };
    });
}

const cutWires = (start: Build, target: Build) =>
  Object.values(target.wires).filter(({ id, from }) => from === 'stock' && !lookUp(start.wires, id));

export function wireNeeds(start: Build, target: Assembly): Need[] {
  return cutWires(start, target.build).map((wire): Need => ({
    key: wireKey(wire),
    kind: 'wire',
    name: `${wire.colour} wire, ${wire.awg} AWG`,
    amount: lengthMmOf(target, wire) * (1 + offcutShare),
    unit: 'mm',
    because: `cut lengths, and ${100 * offcutShare} % for what is cut wrong`,
    step: `land:${jointName(wire.id, 0)}`,
  }));
}

/** A sleeve over each bundle of cut wires that goes to one part, and over each bare leg of a part. */
export function sleeveNeeds(start: Build, target: Build): Need[] {
  const bundles = new Map<Slot, Wire[]>();
  for (const wire of cutWires(start, target)) {
    const ref = landedOn(wire.ends[0]) ?? landedOn(wire.ends[1]);
    if (ref) bundles.set(splitRef(ref).slot, [...(bundles.get(splitRef(ref).slot) ?? []), wire]);
  }
  const over = [...bundles].map(([slot, wires]): Need => {
    const size = sleeveFor(wires.map(({ awg }) => awg));
    return {
      key: `sleeve:${size}`,
      kind: 'sleeve',
      name: `shrink sleeve, ${size} mm`,
      amount: sleeveMm,
      unit: 'mm',
      because: `${sleeveMm} mm over each bundle, on before the joint`,
      slot,
      step: `land:${jointName(wires[0]!.id, 0)}`,
    };
  });
  const legs = Object.values(target.wires)
    .filter(({ id, from, insulation }) => from === 'tail' && insulation === 'none' && !lookUp(start.wires, id))
    .map(({ id, lengthMm }): Need => ({
      key: 'sleeve:2',
      kind: 'sleeve',
      name: 'shrink sleeve, 2 mm',
      amount: lengthMm ?? 15,
      unit: 'mm',
      because: 'over bare legs',
      step: `land:${jointName(id, 1)}`,
    }));
  return [...over, ...legs];
}

export function housingNeeds(changes: readonly Change[], start: Build, target: Build): Need[] {
  const housings = changes
    .filter(({ verb }) => verb === 'house')
    .map(({ subject }): Need => {
      const { family, ways } = lookUp(target.housings, subject)!;
      return {
        key: `housing:${family}:${ways}`,
        kind: 'housing',
        name: `housing, ${ways} ways, ${family}`,
        amount: 1,
        unit: 'pieces',
        step: `house:${subject}`,
      };
    });
  const contacts = cutWires(start, target).flatMap((wire) =>
    wire.ends.flatMap((end, index): Need[] => {
      if (end.at.on !== 'cavity' || end.by !== 'crimp') return [];
      const family = lookUp(target.housings, end.at.housing)?.family ?? 'plug';
      return [
        {
          key: `contact:${family}`,
          kind: 'contact',
          name: `crimp contact, ${family}`,
          amount: 1,
          unit: 'pieces',
          step: `land:${jointName(wire.id, index as 0 | 1)}`,
        },
      ];
    }),
  );
  return [...housings, ...contacts];
}
