/** What goes is called what it was when the quad came in. */
import type { Assembly, Stages } from '../../facts/assembly/assembly';

/** The start, if it had a thing of this name in that table; else the target. */
export function asItWas(
  { start, target }: Pick<Stages, 'start' | 'target'>,
  table: 'slots' | 'wires' | 'mates',
  name: string,
): Assembly {
  return Object.hasOwn(start.build[table], name) ? start : target;
}
