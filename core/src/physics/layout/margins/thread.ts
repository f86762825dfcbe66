/** Stack screws: what is left above the top nut, and whether the frame's room takes their length. */
import type { Laid } from '../laid';
import type { Margin, Remedy } from '../margin';
import { margin } from '../margin';
import { corrected, gaugeOf } from '../measured';
import { reckon, sized, tenths } from '../sized';
import { layerMm, platesUnder, stackedSlots, threadOf } from '../stack';
import { stackChange } from '../turned';

export function threadMargins(laid: Laid): Margin[] {
  if (!laid.stack) return [];
  const { place, stack } = laid.stack;
  const { thread, lengthMm } = stack.screw;
  const clamped = [...platesUnder(laid.frame, place), ...stack.layers.map(layerMm)];
  const { turnMm, sold } = threadOf(thread);
  const needed = [...clamped, { mm: turnMm, tolMm: 0 }];
  const reckoned = reckon([sized(lengthMm, 'screw')], needed);
  const clampedMm = clamped.reduce((sum, { mm }) => sum + mm, 0);
  const leftMm = lengthMm - clampedMm;
  const of = { kind: 'thread', slots: stackedSlots(laid.assembly) } as const;
  const said = {
    ...of,
    gauge: gaugeOf(laid, of, { asks: 'the thread above the top nut, squeezed', needMm: turnMm }),
    what: 'thread above the top nut',
    says:
      `${tenths(leftMm)} mm of thread above the top nut, one turn (${turnMm} mm) is wanted: ` +
      `${thread} x ${lengthMm} clamps ${tenths(clampedMm)} mm, squeezed`,
  } as const;
  return [
    margin(said, reckoned, () =>
      sold
        .filter(
          (longer) => longer > lengthMm && corrected(reckon([sized(longer, 'screw')], needed), said.gauge).worstMm >= 0,
        )
        .slice(0, 1)
        .map((longer): Remedy => ({
          says: `Take ${thread} x ${longer} screws`,
          changes: [stackChange(laid, { ...stack, screw: { thread, lengthMm: longer } })],
        })),
    ),
  ];
}
