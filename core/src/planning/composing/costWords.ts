/** What parts cost an aircraft: mass, joints and plugs, watts turned into heat, what a radio loses in them. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Build } from '../../facts/assembly/build';
import { landedOn, matesOn } from '../../facts/assembly/build';
import type { PartModel } from '../../facts/catalogue/partModel';
import { countWords } from '../../facts/terms/countWords';
import type { Range, Slot } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { supplyTree } from '../../physics/loads/supplyTree';

interface Costed {
  model: PartModel;
  /** The parts of this model. */
  slots: readonly Slot[];
}

/** "4.4 g", "4 joints", "0.6 W of heat"; what is nothing is not said. */
export function costWords({ model, slots }: Costed, assembly: Assembly, cells: Range | null): string[] {
  const lossDb = model.cable?.lossDb ?? 0;
  const heatW = cells ? heatOf(slots, assembly, cells) : 0;
  return [
    `${Number((slots.length * model.massG).toFixed(1))} g`,
    ...joinedBy(slots, assembly.build),
    ...(heatW >= leastHeatW ? [`${heatW.toFixed(1)} W of heat`] : []),
    ...(lossDb > 0 ? [`${lossDb} dB lost`] : []),
  ];
}

const leastHeatW = 0.05;

function heatOf(slots: readonly Slot[], assembly: Assembly, cells: Range): number {
  const { rails } = supplyTree(assembly, cells);
  return rails.reduce((sum, { slot, heatW }) => (slot !== null && slots.includes(slot) ? sum + heatW : sum), 0);
}

/** "12 joints", "1 plug". */
export function joinedBy(slots: readonly Slot[], build: Build): string[] {
  const isOn = (slot: Slot) => slots.includes(slot);
  const joints = Object.values(build.wires).flatMap(({ ends }) => {
    const touches = ends.some((end) => {
      const ref = landedOn(end);
      return ref !== null && isOn(splitRef(ref).slot);
    });
    return touches ? ends.filter(({ by }) => by === 'solder') : [];
  }).length;
  const plugs = new Set(slots.flatMap((slot) => matesOn(slot, build))).size;
  const count = (some: number, what: string) => (some === 0 ? [] : [countWords(some, what)]);
  return [...count(joints, 'joint'), ...count(plugs, 'plug')];
}
