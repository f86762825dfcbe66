/** What goes is called old where something else takes its place. */
import type { Slot, TerminalRef } from '../terms/names';
import { splitRef } from '../terms/names';
import type { Stages } from './assembly';
import { sameFitted } from './build';
import { padWords } from './padWords';
import { slotWords } from './slotWords';
import { lookUp } from '../terms/lookUp';

type WasAndWillBe = Pick<Stages, 'start' | 'target'>;

/** "the old receiver" for a part that gives way to another model, "the receiver" for one that stays. */
export function wasSlotWords(slot: Slot, { start, target }: WasAndWillBe): string {
  const was = lookUp(start.build.slots, slot);
  if (!was) return slotWords(slot, target);
  const words = slotWords(slot, start);
  const next = lookUp(target.build.slots, slot);
  if (!next || sameFitted(was, next)) return words;
  return words.startsWith('the ') ? `the old ${words.slice(4)}` : `the old ${words}`;
}

/** "the old receiver, RX"; "the single board, 5V by R2". */
export function wasTerminalWords(ref: TerminalRef, stages: WasAndWillBe): string {
  const { slot } = splitRef(ref);
  const was = Object.hasOwn(stages.start.build.slots, slot) ? stages.start : stages.target;
  return `${wasSlotWords(slot, stages)}, ${padWords(ref, was)}`;
}
