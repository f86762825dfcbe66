/** A nut on the plate under the stack: it locks the screws, so that the stack stays when its top nuts are off. */
import type { Laid } from './laid';
import type { Remedy } from './margin';
import { threadOf } from './stack';
import { stackChange } from './turned';

/** Puts it in, or takes it out again; null without a stack. */
export function lowerNut(laid: Laid): Remedy | null {
  if (!laid.stack) return null;
  const { stack } = laid.stack;
  const { thread } = stack.screw;
  const [lowest, ...others] = stack.layers;
  if (lowest && 'nut' in lowest)
    return { says: 'Take the lower nuts out', changes: [stackChange(laid, { ...stack, layers: others })] };
  const nut = { nut: `lower nut ${thread}`, mm: threadOf(thread).nutMm };
  return {
    says: 'Put lower nuts on the plate',
    changes: [stackChange(laid, { ...stack, layers: [nut, ...stack.layers] })],
  };
}
