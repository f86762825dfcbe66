/** What is threaded on the screws of a stack, and how high each board then stands. Lengths in mm. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Stack, StackLayer } from '../../facts/assembly/build';
import type { FrameBody, Place, Plate } from '../../facts/catalogue/frame';
import { isController } from '../../facts/catalogue/kinds';
import type { PartModel } from '../../facts/catalogue/partModel';
import type { Slot } from '../../facts/terms/names';
import { lookUp } from '../../facts/terms/lookUp';
import { boardMm } from './box';
import { isStacked, placesOf } from './places';
import type { Sized } from './sized';
import { sized } from './sized';

/** By thread: a nut's height, one turn, a soft mount where the board's sheet says nothing, lengths that are sold. */
const threads: Readonly<
  Record<
    string,
    { nutMm: number; turnMm: number; mount: readonly [freeMm: number, squeezedMm: number]; sold: number[] }
  >
> = {
  M2: { nutMm: 1.6, turnMm: 0.4, mount: [5, 4], sold: [8, 10, 12, 14, 16, 18, 20, 22, 25] },
  M3: { nutMm: 2.4, turnMm: 0.5, mount: [6, 4.8], sold: [12, 14, 16, 18, 20, 22, 25, 28, 30, 35, 40, 45, 50] },
};

export function threadOf(thread: string) {
  return lookUp(threads, thread) ?? threads.M3!;
}

/** The boards of the stack in the order in which they stand: what carries the motors' current lowest. */
export function stackedSlots({ build, model }: Assembly): Slot[] {
  const rank = ({ kind }: PartModel) => (isController(kind) ? 1 : 0);
  return Object.keys(build.slots)
    .filter((slot) => isStacked(model(slot)!))
    .sort((a, b) => rank(model(a)!) - rank(model(b)!));
}

export interface StackInPlace {
  place: Place;
  stack: Stack;
}

/** The stack of an aircraft in its frame's place for it; null without such a place, or without boards. */
export function stackOf(assembly: Assembly, frame: FrameBody): StackInPlace | null {
  const place = placesOf(frame).find(({ kind }) => kind === 'stack');
  const stack = place && stackIn(assembly, frame, place);
  return place && stack ? { place, stack } : null;
}

/** As somebody has said, else as the boards' own mounts and the frame's own screws make it. */
function stackIn(assembly: Assembly, frame: FrameBody, place: Place): Stack | null {
  const said = lookUp(assembly.build.stacks ?? {}, place.id);
  if (said) return said;
  const slots = stackedSlots(assembly);
  if (slots.length === 0 || !place.holes) return null;
  const { thread } = place.holes;
  const { nutMm, mount } = threadOf(thread);
  const own = slots.map((slot) => ({ slot, mount: assembly.model(slot)!.body.mount }));
  const layers = own.flatMap(({ slot, mount: has }): StackLayer[] => {
    const [freeMm, squeezedMm] = has ? [has.heightMm, has.squeezedMm] : mount;
    return [{ grommet: `soft mount ${thread}`, freeMm, squeezedMm }, { slot }];
  });
  const lengthMm = frame.posts[0]?.lengthMm ?? own.find((one) => one.mount)?.mount?.lengthMm ?? 20;
  return { screw: { thread, lengthMm }, layers: [...layers, { nut: `nut ${thread}`, mm: nutMm }] };
}

/** Its boards, from below. */
export function boardsIn({ layers }: Stack): Slot[] {
  return layers.flatMap((layer) => ('slot' in layer ? [layer.slot] : []));
}

/** Each layer with its underside and its upper face, over the underside of the lowest plate. */
export function levelsOf({ place, stack }: StackInPlace): { layer: StackLayer; fromMm: number; toMm: number }[] {
  let toMm = place.atMm[2];
  return stack.layers.map((layer) => {
    const fromMm = toMm;
    toMm += layerMm(layer).mm;
    return { layer, fromMm, toMm };
  });
}

/** The plate that closes the frame from above. */
export function lidPlate({ plates, lid }: FrameBody): Plate | undefined {
  return plates?.find(({ id }) => id === lid?.plate);
}

export function layerMm(layer: StackLayer): Sized {
  if ('slot' in layer) return sized(boardMm, 'board');
  if ('grommet' in layer) return sized(layer.squeezedMm, 'grommet');
  return sized(layer.mm, 'nut');
}

/** What lies between a board and the next below it, from below; nothing of a board that is not in the stack. */
export function layersUnder({ layers }: Stack, slot: Slot): readonly StackLayer[] {
  const at = layers.findIndex((layer) => 'slot' in layer && layer.slot === slot);
  if (at < 0) return [];
  return layers.slice(layers.slice(0, at).findLastIndex((layer) => 'slot' in layer) + 1, at);
}

/** Heights from the surface that the stack stands on up to the underside of a board. */
export function below({ layers }: Stack, slot: Slot): Sized[] {
  const at = layers.findIndex((layer) => 'slot' in layer && layer.slot === slot);
  return layers.slice(0, at).map(layerMm);
}

/** Heights between the upper face of one board and the underside of the next above it. */
export function between({ layers }: Stack, lower: Slot, upper: Slot): Sized[] {
  const at = (slot: Slot) => layers.findIndex((layer) => 'slot' in layer && layer.slot === slot);
  return layers.slice(at(lower) + 1, at(upper)).map(layerMm);
}

/** Plates that the screws go through before anything is threaded on them. */
export function platesUnder({ plates = [] }: FrameBody, place: Place): Sized[] {
  return plates.filter(({ zMm }) => zMm < place.atMm[2]).map(({ thicknessMm }) => sized(thicknessMm, 'plate'));
}
