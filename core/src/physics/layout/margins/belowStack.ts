/** What hangs lowest under the lowest board against the plate, with the soft mounts squeezed as in a crash. */
import type { StackLayer } from '../../../facts/assembly/build';
import { highest, standingOn } from '../box';
import type { Laid } from '../laid';
import type { Margin } from '../margin';
import { margin } from '../margin';
import { gaugeOf } from '../measured';
import { reckon, sized, tenths } from '../sized';
import { below, boardsIn } from '../stack';
import { stackChange } from '../turned';

/** A live point keeps so far from carbon and screws; with tape between it may only not press on it. */
const [clearMm, overTapeMm] = [2, 0.5];
const tape: StackLayer = { tape: 'insulating tape on the plate', mm: 0.2 };

export function belowStackMargins(laid: Laid): Margin[] {
  if (!laid.stack || !laid.frame.conducts) return [];
  const { stack } = laid.stack;
  const [slot] = boardsIn(stack);
  if (slot === undefined) return [];
  const hangingMm = highest(standingOn(laid.assembly.model(slot)!, 'below', laid.poses.get(slot)!));
  const under = below(stack, slot);
  const isTaped = stack.layers.some((layer) => 'tape' in layer);
  const needMm = isTaped ? overTapeMm : clearMm;
  const gapMm = under.reduce((sum, { mm }) => sum + mm, 0) - hangingMm;
  const reckoned = reckon(under, [sized(hangingMm, 'board'), { mm: needMm, tolMm: 0 }]);
  const of = { kind: 'gap below', slots: [slot] } as const;
  const asks = `the gap between what hangs lowest under ${slot} and the plate, squeezed`;
  const said = {
    ...of,
    gauge: gaugeOf(laid, of, { asks, needMm }),
    what: `gap under ${slot}, squeezed`,
    says:
      `${tenths(gapMm)} mm between what hangs lowest under ${slot} and the plate, squeezed; ` +
      (isTaped ? `over tape ${overTapeMm} mm will do` : `${clearMm} mm are wanted to carbon that conducts`),
  } as const;
  return [
    margin(said, reckoned, () => [
      ...(isTaped
        ? []
        : [
            {
              says: 'Lay insulating tape on the plate',
              changes: [stackChange(laid, { ...stack, layers: [tape, ...stack.layers] })],
            },
          ]),
      {
        says: 'Put 2 mm washers under the stack',
        changes: [stackChange(laid, { ...stack, layers: [{ washer: 'washer', mm: 2 }, ...stack.layers] })],
      },
    ]),
  ];
}
