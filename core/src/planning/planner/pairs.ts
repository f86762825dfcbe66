/** Plus and minus of one part: an ESC's on pads that belong together, so that they are not picked up wrongly. */
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import type { Need } from './needs';
import type { Assembly } from '../../facts/assembly/assembly';

/** Supply and ground of each part: of those that carry motor current, or of the others. */
export function pairsOf(
  needs: readonly Need[],
  carry: 'motor current' | 'little',
): { slot: Slot; supply: Need; ground: Need }[] {
  const fitting = needs.filter(({ awg }) => (awg === 'thick') === (carry === 'motor current'));
  return fitting
    .filter(({ is }) => is === 'supply')
    .flatMap((supply) => {
      const ground = fitting.find(({ slot, is }) => slot === supply.slot && is === 'ground');
      return ground ? [{ slot: supply.slot, supply, ground }] : [];
    });
}

/**
 * The minus pad of each plus pad: the nearest on its board, where that one's nearest plus is this. Pads without a
 * partner are left out.
 */
export function partners(supply: Need, ground: Need, assembly: Assembly): Map<TerminalRef, TerminalRef> {
  const nearest = (to: TerminalRef, among: Need) => {
    const at = assembly.terminal(to)!.atMm;
    const far = (ref: TerminalRef) =>
      Math.hypot(assembly.terminal(ref)!.atMm[0] - at[0], assembly.terminal(ref)!.atMm[1] - at[1]);
    return among.pads
      .map(({ ref }) => ref)
      .filter((ref) => splitRef(ref).slot === splitRef(to).slot)
      .sort((a, b) => far(a) - far(b))[0];
  };
  return new Map(
    supply.pads.flatMap(({ ref }) => {
      const minus = nearest(ref, ground);
      return minus && nearest(minus, supply) === ref ? [[ref, minus] as const] : [];
    }),
  );
}
