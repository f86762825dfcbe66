import type { JointAbout } from '../../../facts/assembly/difference';
import type { Act } from '../../../facts/assembly/act';
import { landedOn } from '../../../facts/assembly/build';
import { jointWords } from '../../../facts/assembly/itemWords';
import { jointName } from '../../../facts/terms/names';
import { seconds } from '../../../physics/joints/seconds';
import { inThisOrder } from '../changeStep';
import { groupOfWire, stretchOfGroup } from '../group';
import { wantsRedo } from '../lastLook';
import { jointTurns, turns } from '../order';
import type { Draft, StepKind } from '../step';
import { open } from '../step';

interface RedoStep extends Draft<'redo', JointAbout> {
  effect: readonly Act[];
}

/** A joint that a look or a reading sent back. */
export const redo: StepKind<RedoStep> = {
  plan: (job) =>
    Object.values(job.asBuilt.build.wires).flatMap((wire) =>
      ([0, 1] as const).flatMap((end): RedoStep[] => {
        const subject = jointName(wire.id, end);
        const soldered = wire.ends[end].by === 'solder' && landedOn(wire.ends[end]) !== null;
        if (!soldered || !wantsRedo(subject, job)) return [];
        const about: JointAbout = { kind: 'joint', wire: wire.id, end };
        const group = groupOfWire(wire, job.builds);
        const stretch = stretchOfGroup(job.builds, group);
        return [
          {
            verb: 'redo',
            subject,
            about,
            effect: [{ do: 'reheat', wire: wire.id, end, dwellS: null }],
            place: { stretch, group, turn: turns.joint, joint: { ...about, turn: jointTurns.redo } },
          },
        ];
      }),
    ),
  // Planned only while it is wanted: reworked, it is no step any more.
  state: () => open(),
  words: ({ subject }, { target }) => `Rework the joint: ${jointWords(subject, target)}`,
  why: () => inThisOrder,
  takesS: () => seconds.free,
};
