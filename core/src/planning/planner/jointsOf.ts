/** What a build joins. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Wire } from '../../facts/assembly/build';
import { terminalUnder } from '../../facts/wiring/terminalUnder';

/** Joints of a wire as `own>pad` in both directions, through plugs as well; none while an end of it hangs. */
export function jointsOf(assembly: Assembly, { ends }: Pick<Wire, 'ends'>): string[] {
  const [a, b] = ends.map((end) => terminalUnder(assembly, end));
  return a && b ? [`${a}>${b}`, `${b}>${a}`] : [];
}
