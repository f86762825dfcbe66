/** Which way a lead leaves its part, and what it takes of its length to turn into its way. Lengths in mm. */
import type { Assembly } from '../../facts/assembly/assembly';
import type { Pose } from '../../facts/assembly/build';
import type { XYZ } from '../../facts/catalogue/frame';
import type { Tail } from '../../facts/catalogue/partModel';
import type { TerminalRef } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { turnedRad } from '../geometry/place';
import { diameterMm } from '../../facts/wiring/wireAmps';

export type Exit = Pick<Tail, 'awg'> & { exitDeg: number };

/** null: it comes out of no part, or nobody knows which way. */
export function exitOf(assembly: Assembly, ref: TerminalRef): Exit | null {
  const { slot, terminal } = splitRef(ref);
  const tail = assembly.model(slot)?.tails.find((one) => one.terminal === terminal);
  return tail?.exitDeg === undefined ? null : { awg: tail.awg, exitDeg: tail.exitDeg };
}

/** A soft lead turns on one and a half of its diameters; silicone makes it about twice as thick as its copper. */
const turnMm = (awg: number) => 1.5 * (0.3 + 2.05 * diameterMm(awg));

/** The arc from the way it leaves to the first leg of its way, seen from above. @param way From its own end on. */
export function turnIntoMm({ exitDeg, awg }: Exit, pose: Pose, way: readonly XYZ[]): number {
  const [from] = way;
  const to = way.find((at) => Math.hypot(at[0] - from![0], at[1] - from![1]) > 1e-6);
  if (!from || !to) return 0;
  const off = Math.atan2(to[1] - from[1], to[0] - from[0]) - turnedRad(pose, exitDeg);
  return turnMm(awg) * Math.abs(Math.atan2(Math.sin(off), Math.cos(off)));
}
