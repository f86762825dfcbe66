/** Joints and contacts that do not join. */
import { jointName } from '../../../facts/terms/names';
import type { Family } from './defect';

export const joints: readonly Family[] = [
  {
    kind: 'joint open',
    often: 10,
    because: 'a pad that was not hot, a lead that moved while the solder froze',
    make: (view) => ends(view.assembly.build.wires, 'terminal'),
  },
  {
    kind: 'contact pushed back',
    often: 4,
    because: 'a contact that was not heard to catch is pushed out of its housing when the plug goes in',
    make: (view) => ends(view.assembly.build.wires, 'cavity'),
  },
];

type Wires = Parameters<Family['make']>[0]['assembly']['build']['wires'];

function ends(wires: Wires, on: 'terminal' | 'cavity'): ReturnType<Family['make']> {
  return Object.values(wires).flatMap((wire) =>
    ([0, 1] as const)
      .filter((end) => wire.ends[end].at.on === on)
      .filter((end) => on === 'cavity' || wire.ends[end].by !== 'factory')
      .map((end) => ({ site: { wire: wire.id, end }, edits: [{ cut: jointName(wire.id, end) }] })),
  );
}
