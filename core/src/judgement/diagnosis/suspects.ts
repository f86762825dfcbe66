/** Which solder joints can be behind a reading that no good build shows, likeliest first. */
import { landedOn } from '../../facts/assembly/build';
import { jointName } from '../../facts/terms/names';
import type { TerminalRef } from '../../facts/terms/names';
import { netlist } from '../../facts/wiring/netlist';
import type { Reading } from '../../facts/log/reading';
import { gapMm } from '../../physics/geometry/gap';
import type { Assembly } from '../../facts/assembly/assembly';
import { lookUp } from '../../facts/terms/lookUp';

/**
 * For a tone that is missing: the joints on its way. For a tone that should not be: the joints on either net, those
 * nearest to the two terminals first.
 */
export function suspectJoints({ touch, expected }: Reading, assembly: Assembly): string[] {
  const soldered = (joint: { wire: string; end: 0 | 1 }) =>
    lookUp(assembly.build.wires, joint.wire)?.ends[joint.end].by === 'solder';
  if (expected.passes.includes('does not stop')) {
    return expected.because.flatMap((site) =>
      'wire' in site && site.end !== undefined && soldered({ wire: site.wire, end: site.end })
        ? [jointName(site.wire, site.end)]
        : [],
    );
  }
  const nets = netlist(assembly);
  const both = [nets.netOf(touch.black), nets.netOf(touch.red)];
  const joints = Object.values(assembly.build.wires).flatMap((wire) =>
    ([0, 1] as const).flatMap((end) => {
      const ref = landedOn(wire.ends[end]);
      return ref && soldered({ wire: wire.id, end }) && both.includes(nets.netOf(ref))
        ? [{ joint: jointName(wire.id, end), ref }]
        : [];
    }),
  );
  const far = (ref: TerminalRef) => Math.min(distance(ref, touch.black, assembly), distance(ref, touch.red, assembly));
  return joints.sort((a, b) => far(a.ref) - far(b.ref)).map(({ joint }) => joint);
}

/** In mm; terminals of different parts are far apart. */
function distance(a: TerminalRef, b: TerminalRef, assembly: Assembly): number {
  const [one, other] = [assembly.terminal(a), assembly.terminal(b)];
  return one && other && a.split('.')[0] === b.split('.')[0] ? gapMm(one, other) : 1000;
}
