/** The pick list of a job, computed from what has to be built: nothing is kept by hand, so it follows every re-plan. */
import type { Build, Wire } from '../../facts/assembly/build';
import { landedOn } from '../../facts/assembly/build';
import type { Change } from '../../facts/assembly/difference';
import { difference } from '../../facts/assembly/difference';
import { jointName, splitRef } from '../../facts/terms/names';
import type { Slot, StepId } from '../../facts/terms/names';
import type { Alloy } from '../../physics/joints/recipe';
import { recipeFor } from '../../physics/joints/recipe';
import { offcutShare, screwLengthMm, sleeveFor, sleeveMm, solderG, tapePerArmMm, trimMm } from './amounts';
import type { KitLine } from './kitLine';
import type { KitUnit } from '../../facts/catalogue/stockLine';
import type { Assembly } from '../../facts/assembly/assembly';
import { lengthMmOf } from '../../physics/geometry/wireLength';

interface Need {
  key: string;
  kind: KitLine['kind'];
  name: string;
  amount: number;
  unit: KitUnit;
  because?: string;
  slot?: Slot;
  step?: StepId;
}

/** Lines in picking order: parts, leads, wire, sleeves, housings, solder, fixings, screws, tools, consumables. */
export function kitList(start: Assembly, target: Assembly, alloy: Alloy = 'leaded'): KitLine[] {
  const changes = difference(start.build, target.build);
  const joints = jointsOf(changes, target);
  if (changes.length === 0) return [];
  return merged([
    ...partNeeds(changes, target),
    ...leadNeeds(changes, target.build),
    ...wireNeeds(start.build, target.build),
    ...sleeveNeeds(start.build, target.build),
    ...housingNeeds(changes, start.build, target.build),
    ...solderNeeds(joints, alloy),
    ...fixingNeeds(changes, target),
    ...screwNeeds(changes, target),
    ...toolNeeds(joints, alloy),
    ...consumableNeeds(joints),
  ]);
}

interface Joint {
  id: StepId;
  wire: Wire;
  padMm: readonly [number, number];
}

function jointsOf(changes: readonly Change[], target: Assembly): Joint[] {
  return changes.flatMap(({ verb, subject, about }): Joint[] => {
    const joint = verb === 'land' ? about : null;
    const wire = joint && target.build.wires[joint.wire];
    const ref = wire && landedOn(wire.ends[joint.end]);
    const terminal = ref && target.terminal(ref);
    if (!wire || !terminal || wire.ends[joint.end].by !== 'solder') return [];
    return [{ id: `land:${subject}`, wire, padMm: [terminal.sizeMm[0], terminal.sizeMm[1]] }];
  });
}

function partNeeds(changes: readonly Change[], target: Assembly): Need[] {
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

function leadNeeds(changes: readonly Change[], target: Build): Need[] {
  return changes
    .filter(({ verb }) => verb === 'lead')
    .map(({ subject }): Need => {
      const wires = Object.values(target.wires).filter(({ bundle }) => bundle === subject);
      const at = wires.flatMap(({ ends }) =>
        ends.flatMap((end) => (end.at.on === 'cavity' ? [end.at.housing] : [])),
      )[0];
      const housing = at ? target.housings[at] : null;
      const lengthMm = lengthMmOf(wires[0] ?? { lengthMm: null });
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
  Object.values(target.wires).filter(({ id, from }) => from === 'stock' && !start.wires[id]);

function wireNeeds(start: Build, target: Build): Need[] {
  return cutWires(start, target).map(({ id, awg, colour, lengthMm }): Need => ({
    key: `wire:${awg}:${colour}`,
    kind: 'wire',
    name: `${colour} wire, ${awg} AWG`,
    amount: (lengthMmOf({ lengthMm }) + trimMm) * (1 + offcutShare),
    unit: 'mm',
    because: `cut lengths, ${trimMm} mm each for stripping, ${100 * offcutShare} % for offcuts`,
    step: `land:${jointName(id, 0)}`,
  }));
}

/** A sleeve over each bundle of cut wires that goes to one part, and over each bare leg of a part. */
function sleeveNeeds(start: Build, target: Build): Need[] {
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
    .filter(({ id, from, insulation }) => from === 'tail' && insulation === 'none' && !start.wires[id])
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

function housingNeeds(changes: readonly Change[], start: Build, target: Build): Need[] {
  const housings = changes
    .filter(({ verb }) => verb === 'house')
    .map(({ subject }): Need => {
      const { family, ways } = target.housings[subject]!;
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
      const family = target.housings[end.at.housing]?.family ?? 'plug';
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

function solderNeeds(joints: readonly Joint[], alloy: Alloy): Need[] {
  return joints.map(({ id, wire, padMm }): Need => ({
    key: `solder:${alloy}`,
    kind: 'solder',
    name: `${alloy} solder, 0.8 mm`,
    amount: solderG(padMm, wire.awg),
    unit: 'g',
    because: 'by pad area and gauge, half again for tinning',
    step: id,
  }));
}

function fixingNeeds(changes: readonly Change[], target: Assembly): Need[] {
  const slots = changes
    .filter(({ verb }) => verb === 'fit')
    .map(({ subject }) => ({ slot: subject, kind: target.model(subject)!.kind }));
  return slots.flatMap(({ slot, kind }): Need[] => {
    const tie = (because: string): Need => ({
      key: 'tie:100',
      kind: 'fixing',
      name: 'cable tie, 100 mm',
      amount: 1,
      unit: 'pieces',
      because,
      slot,
      step: `fit:${slot}`,
    });
    if (kind === 'motor')
      return [
        tie('one an arm and one for the battery lead'),
        {
          key: 'tape:19',
          kind: 'fixing',
          name: 'cloth tape, 19 mm',
          amount: tapePerArmMm,
          unit: 'mm',
          because: `${tapePerArmMm} mm an arm`,
          slot,
          step: `fit:${slot}`,
        },
      ];
    if (kind === 'battery lead') return [{ ...tie('one an arm and one for the battery lead'), amount: 2 }];
    if (kind === 'antenna') return [tie('one an arm and one for the battery lead')];
    return [];
  });
}

/** Motor screws go through the arm into the base; stack screws are the boards' own. */
function screwNeeds(changes: readonly Change[], target: Assembly): Need[] {
  const frame = Object.keys(target.build.slots)
    .map((slot) => target.model(slot)!)
    .find(({ kind }) => kind === 'frame');
  return changes
    .filter(({ verb }) => verb === 'fit')
    .flatMap(({ subject }): Need[] => {
      const { kind, body } = target.model(subject)!;
      if (kind === 'motor' && body.holes.length > 0) {
        const thread = `M${Math.round(body.holes[0]!.drillMm)}`;
        const length = screwLengthMm(frame?.body.aboveMm ?? 4, 4);
        return [
          {
            key: `screw:${thread}:${length}`,
            kind: 'screw',
            name: `screw ${thread} x ${length}`,
            amount: body.holes.length,
            unit: 'pieces',
            because: 'arm thickness and 4 mm into the motor',
            slot: subject,
            step: `fit:${subject}`,
          },
        ];
      }
      if (!body.mount) return [];
      return [
        {
          key: `screw:${body.mount.thread}:${body.mount.lengthMm}`,
          kind: 'screw',
          name: `stack screw ${body.mount.thread} x ${body.mount.lengthMm}`,
          amount: 4,
          unit: 'pieces',
          because: 'four a board that stands on its own screws',
          slot: subject,
          step: `fit:${subject}`,
        },
      ];
    });
}

function toolNeeds(joints: readonly Joint[], alloy: Alloy): Need[] {
  const first = joints[0]?.id;
  const tips = joints.map(({ id, wire, padMm }): Need => {
    const { tipMm, setC } = recipeFor(wire.awg, { sizeMm: padMm }, alloy);
    return {
      key: `tip:${tipMm}`,
      kind: 'tool',
      name: `iron tip, ${tipMm} mm wide`,
      amount: 0,
      unit: 'pieces',
      because: `for joints at ${setC} °C`,
      step: id,
    };
  });
  const tool = (key: string, name: string, step: StepId | undefined): Need => ({
    key: `tool:${key}`,
    kind: 'tool',
    name,
    amount: 1,
    unit: 'pieces',
    ...(step ? { step } : {}),
  });
  return [
    ...tips,
    ...(first
      ? [
          tool('iron', 'iron, hot and holding', first),
          tool('magnifier', 'magnifier', undefined),
          tool('cutter', 'cutter and tweezers', undefined),
        ]
      : []),
    tool('meter', 'meter, tone proved', 'prove:meter'),
    tool('limiter', 'limiter for first power', 'pack:measured'),
  ];
}

function consumableNeeds(joints: readonly Joint[]): Need[] {
  if (joints.length === 0) return [];
  const some = (key: string, name: string, step: StepId): Need => ({
    key: `consumable:${key}`,
    kind: 'consumable',
    name,
    amount: 1,
    unit: 'pieces',
    because: 'enough in the bottle',
    step,
  });
  return [some('flux', 'flux pen', joints[0]!.id), some('alcohol', 'alcohol and brush', joints[0]!.id)];
}

function merged(needs: readonly Need[]): KitLine[] {
  const lines = new Map<string, KitLine & { slots: Slot[]; steps: StepId[] }>();
  for (const { key, kind, name, amount, unit, because = '', slot, step } of needs) {
    const line = lines.get(key) ?? { key, kind, name, needed: 0, unit, because, slots: [], steps: [] };
    line.needed += amount;
    if (slot && !line.slots.includes(slot)) line.slots.push(slot);
    if (step && !line.steps.includes(step)) line.steps.push(step);
    lines.set(key, line);
  }
  return [...lines.values()].map((line) => ({
    ...line,
    needed: line.key.startsWith('tip:')
      ? 1
      : line.unit === 'g'
        ? Math.ceil(line.needed * 10) / 10
        : Math.ceil(line.needed),
  }));
}
