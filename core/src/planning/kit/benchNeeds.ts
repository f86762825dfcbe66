/** Solder, fixings, screws, tools and consumables of a job. */
import type { Build } from '../../facts/assembly/build';
import { frameOf } from '../../facts/assembly/frameOf';
import type { Change } from '../../facts/assembly/difference';
import { changeId } from '../../facts/assembly/difference';
import type { Slot, StepId } from '../../facts/terms/names';
import { boardsIn, stackOf } from '../../physics/layout/stack';
import type { Alloy } from '../../physics/joints/recipe';
import { recipeFor } from '../../physics/joints/recipe';
import { screwLengthMm, solderG, tapePerArmMm } from './amounts';
import type { Assembly } from '../../facts/assembly/assembly';
import type { Need, Joint } from './kitNeed';
import { lookUp } from '../../facts/terms/lookUp';

export function solderNeeds(joints: readonly Joint[], alloy: Alloy): Need[] {
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

export function fixingNeeds(changes: readonly Change[], target: Assembly): Need[] {
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
        tie('one an arm'),
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
    if (kind === 'battery lead') return [{ ...tie('two for the battery lead'), amount: 2 }];
    if (kind === 'antenna') return [tie('one for the antenna')];
    return [];
  });
}

/** Motor screws go through the arm into the base; stack screws are the boards' own. */
export function screwNeeds(changes: readonly Change[], target: Assembly): Need[] {
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
      const ofStack = stackScrews(target, subject);
      if (ofStack) return ofStack;
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

/** Four screws through the whole stack, asked for with its lowest board; null: the board stands in no known stack. */
function stackScrews(target: Assembly, subject: Slot): Need[] | null {
  const frame = frameOf(target);
  const stack = frame && stackOf(target, frame)?.stack;
  const slots = stack ? boardsIn(stack) : [];
  if (!stack || !slots.includes(subject)) return null;
  if (slots[0] !== subject) return [];
  const { thread, lengthMm } = stack.screw;
  return [
    {
      key: `screw:${thread}:${lengthMm}`,
      kind: 'screw',
      name: `stack screw ${thread} x ${lengthMm}`,
      amount: 4,
      unit: 'pieces',
      because: 'four through the stack, of the length that the layout has',
      slot: subject,
      step: `fit:${subject}`,
    },
  ];
}

export function toolNeeds(joints: readonly Joint[], alloy: Alloy): Need[] {
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

export function consumableNeeds(joints: readonly Joint[]): Need[] {
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

/** Braid where a joint comes off and its pad is wicked clean. */
export function braidNeeds(changes: readonly Change[], start: Build): Need[] {
  const isSoldered = (wire: string, end: 0 | 1) => lookUp(start.wires, wire)?.ends[end].by === 'solder';
  const off = changes.find(
    (change) =>
      (change.verb === 'free' && isSoldered(change.about.wire, change.about.end)) ||
      (change.verb === 'drop' && ([0, 1] as const).some((end) => isSoldered(change.about.wire, end))),
  );
  if (!off) return [];
  return [
    {
      key: 'consumable:braid',
      kind: 'consumable',
      name: 'desoldering braid',
      amount: 1,
      unit: 'pieces',
      because: 'pads that a wire leaves are wicked clean',
      step: changeId(off),
    },
  ];
}
