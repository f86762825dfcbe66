/** Of the parts on the line that is looked at: how they lie, and what joins them. */
import type { Build, Laid, Slot } from '@junctor/core';
import { joinedBy } from '@junctor/core';
import { Fact } from '../../../ui/Frame';
import { slotsNamed } from './heapLines';

export function LineFacts({ slots, build, laid }: { slots: readonly Slot[]; build: Build; laid: Laid | null }) {
  const pose = slots.length === 1 ? laid?.poses.get(slots[0]!) : undefined;
  const joined = joinedBy(slots, build).join(', ');
  if (!pose && joined === '') return null;
  return (
    <Fact>
      <dt>{slotsNamed(slots)}</dt>
      {pose && (
        <dd className="long">
          in {pose.place}
          {pose.yawDeg === 0 ? '' : `, turned ${turnWords(pose.yawDeg)}`}
        </dd>
      )}
      {joined !== '' && <dd className="long">{joined}</dd>}
    </Fact>
  );
}

/** Seen from above, a positive turn goes to the left. */
function turnWords(yawDeg: number): string {
  const left = ((yawDeg % 360) + 360) % 360;
  if (left === 180) return 'right round';
  return left < 180 ? `${left}° to the left` : `${360 - left}° to the right`;
}
