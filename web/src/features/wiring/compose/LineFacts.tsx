/** Of the parts on the line that is looked at: how they lie, and what joins them. */
import type { Build, Laid, Slot } from '@junctor/core';
import { countWords, landedOn, matesOn, splitRef } from '@junctor/core';
import { Fact } from '../../../ui/Frame';
import { slotsNamed } from './heapLines';

export function LineFacts({ slots, build, laid }: { slots: readonly Slot[]; build: Build; laid: Laid | null }) {
  const pose = slots.length === 1 ? laid?.poses.get(slots[0]!) : undefined;
  const joined = joinedWords(slots, build);
  if (!pose && !joined) return null;
  return (
    <Fact>
      <dt>{slotsNamed(slots)}</dt>
      {pose && (
        <dd className="long">
          in {pose.place}
          {pose.yawDeg === 0 ? '' : `, turned ${turnWords(pose.yawDeg)}`}
        </dd>
      )}
      {joined && <dd className="long">{joined}</dd>}
    </Fact>
  );
}

/** Seen from above, a positive turn goes to the left. */
function turnWords(yawDeg: number): string {
  const left = ((yawDeg % 360) + 360) % 360;
  if (left === 180) return 'right round';
  return left < 180 ? `${left}° to the left` : `${360 - left}° to the right`;
}

/** "12 joints, 1 plug"; null where nothing joins it. */
export function joinedWords(slots: readonly Slot[], build: Build): string | null {
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
  return [...count(joints, 'joint'), ...count(plugs, 'plug')].join(', ') || null;
}
